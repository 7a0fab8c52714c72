package org.yarbel.web.demo;

import java.time.LocalDate;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.core.contest.AttemptPlan;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthlete.AthleteSaid;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.contest.DaySheet;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.platform.AttemptSpot;
import org.yarbel.web.platform.DaySettings;
import org.yarbel.web.platform.OurOdds;
import org.yarbel.web.platform.PlatformLog;
import org.yarbel.web.who.SignedIn;

/**
 * Contest days of the demo: one of powerlifting and one of strongman under way, and a mock contest of last week. All of it is invented.
 */
@Component
class DemoDay {
  private static final String SKELBECK = "Skelbeck Winter Meet";
  private static final String QUARRY = "Quarry Yard Day";
  private static final String MOCK = "Tarnbrook mock meet";
  private static final Set<String> UNDER_WAY = Set.of(SKELBECK, QUARRY);
  private static final List<String> LIFTS = List.of("squat", "bench", "deadlift");
  /** The flight began so long ago. */
  private static final int MINUTES_AGO = 50;

  private final Contests contests;
  private final ContestAthleteRepository athletes;
  private final PlatformLog log;
  private final DaySettings settings;
  private final OurOdds odds;
  private final Accounts accounts;
  private final JdbcClient jdbc;
  private final ClubClock clock;

  DemoDay(Contests contests, ContestAthleteRepository athletes, PlatformLog log, DaySettings settings, OurOdds odds, Accounts accounts,
      JdbcClient jdbc, ClubClock clock) {
    this.contests = contests;
    this.athletes = athletes;
    this.log = log;
    this.settings = settings;
    this.odds = odds;
    this.accounts = accounts;
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /** Writes the days down. */
  void make(long clubId, LocalDate today, Map<String, Lifter> byName) {
    SignedIn coach = accounts.of(clubId, jdbc.sql("select id from account where club_id = :club and lifter_id is null order by id limit 1")
        .param("club", clubId).query(Long.class).single()).orElseThrow();
    meet(today, byName, coach);
    yard(today, byName, coach);
    mock(today, byName, coach);
  }

  /** What is under way is so on whatever day the demo is looked at. */
  void renew(LocalDate today) {
    for (Contest contest : contests.listed()) {
      if (UNDER_WAY.contains(contest.name()) && !today.equals(contest.day())) {
        Contest.ContestSaid said = contest.said();
        contests.keep(contest.id(), new Contest.ContestSaid(said.name(), said.sport(), said.state(), today, said.place(), said.federation(),
            said.rules(), said.further(), said.classes(), said.events()));
        settings.rules(contest.id(), starting(contest.daySheet(), said.sport() == Contest.Sport.STRONGMAN));
      }
    }
  }

  private DaySheet starting(DaySheet sheet, boolean strongman) {
    LocalTime now = clock.local(clock.now()).toLocalTime().truncatedTo(ChronoUnit.MINUTES);
    LocalTime first = now.minusMinutes(MINUTES_AGO);
    Map<String, LocalTime> starts = new HashMap<>();
    for (String flight : List.of("A", "B")) {
      for (int lift = 0; lift < LIFTS.size(); lift++) {
        starts.put(flight + "|" + LIFTS.get(lift), first.plusMinutes(flight.equals("A") ? 75L * lift : 75L * lift + 70));
      }
    }
    if (strongman) {
      starts.clear();
      starts.put("|4", now.plusMinutes(40));
    }
    return new DaySheet(sheet.rules(), sheet.formula(), sheet.events(), starts, sheet.lateMinutes(), sheet.cap(), sheet.mock());
  }

  // ---- powerlifting

  private void meet(LocalDate today, Map<String, Lifter> byName, SignedIn coach) {
    Contest meet = contests.keep(null, new Contest.ContestSaid(SKELBECK, Contest.Sport.POWERLIFTING, Contest.State.PLANNED, today,
        "Skelbeck, the old bus garage", "Fenland League", AllowedGear.CLASSIC, "Knee sleeves of neoprene only.", "women 57, 63; men 105",
        List.of()));
    settings.rules(meet.id(), starting(DaySheet.USUAL, false));
    ContestAthlete juno = sent(meet, byName.get("Juno"), "57", new AthleteSaid("", null, "57", "A", 3, kg("56.62"), null, false, false),
        coach);
    ContestAthlete leopold = sent(meet, byName.get("Leopold"), "105",
        new AthleteSaid("", null, "105", "B", 14, kg("98.94"), null, false, false), coach);
    Attempts one = plan(juno, meet, "squat", coach);
    one.good(1, Verdict.Look.RIGHT);
    one.missed(2, null);
    Attempts other = plan(leopold, meet, "squat", coach);
    other.handIn(1);
    rivals(meet, coach, "57", 52, one.first, "Ida Fennick 55.91", "Pernel Ashgrove 56.78", "Thirza Colbeck 56.10");
    rivals(meet, coach, "105", 0,
        other.first, "Osric Hallam 103.44", "Benedict Yarrow 99.86", "Hew Sandiford 104.92", "Piers Loxley 101.20");
  }

  private ContestAthlete sent(Contest contest, Lifter lifter, String weightClass, AthleteSaid said, SignedIn coach) {
    contests.send(contest.id(), lifter.id(), weightClass, null, false);
    ContestAthlete athlete = athletes.findByContestIdAndLifterId(contest.id(), lifter.id()).orElseThrow();
    return log.person(contest.id(), athlete.id(), said, UUID.randomUUID(), coach);
  }

  private Attempts plan(ContestAthlete athlete, Contest contest, String lift, SignedIn coach) {
    AttemptPlan plan = AttemptPlan.of(Objects.requireNonNull(odds.of(athlete, contest).get(lift)).odds(), contest.daySheet().rules(), null);
    Mass first = plan.at(AttemptPlan.Day.EXPECTED, 1).load();
    return new Attempts(athlete, coach, lift, first, plan.at(AttemptPlan.Day.EXPECTED, 2).load(), plan.at(AttemptPlan.Day.EXPECTED, 3)
        .load());
  }

  /** Rivals of a class who lift about what ours do. */
  private void rivals(Contest contest, SignedIn coach, String category, int after, Mass about, String... people) {
    int nth = 0;
    for (String person : people) {
      int blank = person.lastIndexOf(' ');
      Sex sex = after > 0 ? Sex.FEMALE : Sex.MALE;
      ContestAthlete rival = log.add(contest.id(), new AthleteSaid(person.substring(0, blank), sex, category, after > 0 ? "A" : "B",
          20 + nth, kg(person.substring(blank + 1)), null, false, false), coach);
      Mass step = contest.daySheet().rules().attempts().step();
      Mass first = nth % 2 == 0 ? about.plus(step.times(nth)) : about.minus(step.times(nth + 1));
      Attempts theirs = new Attempts(rival, coach, "squat", first, first.plus(step.times(2)), first.plus(step.times(4)));
      if (after > 0) {
        theirs.good(1, null);
        if (nth == 1) {
          theirs.missed(2, Verdict.Reason.DEPTH);
        } else {
          theirs.good(2, null);
        }
        theirs.handIn(3);
      } else {
        theirs.handIn(1);
      }
      nth++;
    }
  }

  /** The three attempts of a lift, as they are entered one by one. */
  private final class Attempts {
    private final ContestAthlete athlete;
    private final SignedIn coach;
    private final String lift;
    private final Mass first;
    private final List<Mass> loads;
    private @Nullable Mass stood;

    Attempts(ContestAthlete athlete, SignedIn coach, String lift, Mass... loads) {
      this.coach = coach;
      this.athlete = athlete;
      this.lift = lift;
      this.first = loads[0];
      this.loads = List.of(loads);
    }

    void handIn(int number) {
      Mass load = loads.get(number - 1);
      enter(number, load, "", null);
      stood = load;
    }

    private void enter(int number, Mass load, String seen, @Nullable Verdict verdict) {
      log.attempt(athlete.contestId(), athlete.id(),
          new PlatformLog.AttemptEntry(UUID.randomUUID(), new AttemptSpot(lift, number), seen, load, verdict, false), coach);
    }

    void good(int number, Verdict.@Nullable Look look) {
      handIn(number);
      enter(number, Objects.requireNonNull(stood), stood.toString(), Verdict.good(look));
    }

    void missed(int number, Verdict.@Nullable Reason why) {
      handIn(number);
      enter(number, Objects.requireNonNull(stood), stood.toString(), Verdict.not(why));
    }

  }

  // ---- strongman

  private void yard(LocalDate today, Map<String, Lifter> byName, SignedIn coach) {
    Contest yard = contests.keep(null, new Contest.ContestSaid(QUARRY, Contest.Sport.STRONGMAN, Contest.State.PLANNED, today,
        "Hathersett, the quarry yard", "Marsh Counties Strength", AllowedGear.STRONGMAN, "Tacky for the stones only.", "men open",
        List.of(new Contest.ContestEvent("log-press", "timed 1x60s 100kg"),
            new Contest.ContestEvent("yoke-walk", "carry 1x20m 300kg in 60s"),
            new Contest.ContestEvent("farmers-walk", "carry 1x40m 120kg in 75s turns 1"),
            new Contest.ContestEvent("stone-load", "series 100/120/140/150kg in 75s"))));
    settings.rules(yard.id(), starting(DaySheet.USUAL, true));
    ContestAthlete brannoc = sent(yard, byName.get("Brannoc"), "men open", new AthleteSaid("", null, "men open", "", 4, kg("121.4"), null,
        false, false), coach);
    results(brannoc, coach, "8 55.2", "14.62", "24.90");
    String[][] others = {{"Wystan Crake", "9 58.4", "15.80", "23.75"}, {"Garrick Stoneham", "7 51.0", "13.95", "25.44"},
        {"Ivo Penhallow", "8 57.9", "16.12", "22.81"}, {"Duncan Threlkeld", "6 49.3", "15.01", "27.10"},
        {"Rafe Ormerod", "5 55.0", "18.44", "26.02"}, {"Silas Windle", "7 59.1", "17.30", "29.65"}};
    for (String[] other : others) {
      results(log.add(yard.id(), new AthleteSaid(other[0], Sex.MALE, "men open", "", null, null, null, false, false), coach), coach,
          other[1], other[2], other[3]);
    }
  }

  private void results(ContestAthlete athlete, SignedIn coach, String reps, String yoke, String farmers) {
    String[] pressed = reps.split(" ");
    enter(athlete, 1, EventResult.of(Field.REPS, pressed[0]).with(Field.TIME, pressed[1]), coach);
    enter(athlete, 2, EventResult.of(Field.FINISHED, "1").with(Field.TIME, yoke), coach);
    enter(athlete, 3, EventResult.of(Field.FINISHED, "1").with(Field.TIME, farmers), coach);
  }

  private void enter(ContestAthlete athlete, int event, EventResult result, SignedIn coach) {
    log.result(athlete.contestId(), athlete.id(), new PlatformLog.ResultEntry(UUID.randomUUID(), event, "", result), coach);
  }

  // ---- a mock contest

  private void mock(LocalDate today, Map<String, Lifter> byName, SignedIn coach) {
    Contest mock = contests.keep(null, new Contest.ContestSaid(MOCK, Contest.Sport.POWERLIFTING, Contest.State.PLANNED,
        Macrocycle.monday(today).minusDays(2), "Tarnbrook Barbell Hall", "", AllowedGear.CLASSIC, "", "the club", List.of()));
    RuleSet usual = RuleSet.usual();
    RuleSet.Attempts five = new RuleSet.Attempts(usual.attempts().step(), usual.attempts().recordStep(), usual.attempts().changes(),
        usual.attempts().toHandIn(), 5);
    settings.rules(mock.id(), new DaySheet(new RuleSet(five, usual.platform(), usual.scoring()), DaySheet.USUAL.formula(), List.of(),
        Map.of(), 0, null, true));
    ContestAthlete odile = sent(mock, byName.get("Odile"), "63", new AthleteSaid("", null, "63", "", 1, kg("62.84"), null, false, false),
        coach);
    for (String lift : LIFTS) {
      Attempts attempts = plan(odile, mock, lift, coach);
      attempts.good(1, Verdict.Look.EASY);
      attempts.good(2, Verdict.Look.RIGHT);
      if (lift.equals("bench")) {
        attempts.good(3, Verdict.Look.LIMIT);
      } else {
        attempts.missed(3, Verdict.Reason.STRENGTH);
      }
    }
  }

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }
}
