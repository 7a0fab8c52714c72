package org.yarbel.web.platform;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.DayOdds;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.NextAttempt;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.contest.meet.Entrant;
import org.yarbel.core.contest.meet.MeetTable;
import org.yarbel.core.contest.meet.Passing;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthlete.AthleteSaid;
import org.yarbel.web.platform.AthleteView.ChoiceView;
import org.yarbel.web.platform.AthleteView.PassView;
import org.yarbel.web.skyline.PlatePicture;
import org.yarbel.web.who.SignedIn;

/** Works out one lifter's screen of a contest's day. */
@Service
class AthletePages {
  private static final int RIVALS = 3;
  private static final int SHOWN = 3;
  private static final int FORMS = 4;
  private static final int KEPT = 50;
  /** What the bars of platforms load: it is searched once for each. */
  private static final Cache<Kit, Loadables> SEARCHED = Caffeine.newBuilder().maximumSize(KEPT).build();

  private final ContestDays days;
  private final OurOdds odds;
  private final NoteRows notes;
  private final Shows shows;

  AthletePages(ContestDays days, OurOdds odds, NoteRows notes, Shows shows) {
    this.shows = shows;
    this.days = days;
    this.odds = odds;
    this.notes = notes;
  }

  /**
   * What somebody looks at, and what was refused of it.
   *
   * @param lift null for the one they are at
   * @param typed what was typed and refused; empty for nothing
   * @param prepared what was typed of it beforehand and refused; empty for nothing
   * @param wrongs what is wrong with that, by field
   */
  record Wanted(@Nullable String lift, String typed, @Nullable String wrong, AthleteView.@Nullable DiffersView differs,
      Map<String, String> prepared, Map<String, String> wrongs) {
    Wanted(@Nullable String lift, String typed, @Nullable String wrong, AthleteView.@Nullable DiffersView differs) {
      this(lift, typed, wrong, differs, Map.of(), Map.of());
    }

    static Wanted of(@Nullable String lift) {
      return new Wanted(lift, "", null, null);
    }
  }

  /** The screen of an athlete, for somebody. */
  @Transactional(readOnly = true)
  public AthleteView view(long contestId, long athleteId, Wanted wanted, SignedIn who) {
    Day day = shows.forEyesOf(days.around(contestId, athleteId), who);
    ContestAthlete athlete = day.athlete(athleteId);
    RuleSet rules = day.rules();
    List<String> contested = rules.platform().lifts();
    String lift = wanted.lift() != null && contested.contains(wanted.lift()) ? wanted.lift() : day.current(athlete);
    LiftDay lifted = day.liftDay(athlete, lift);
    Map<String, OurOdds.Known> known = athlete.loggedAt() == null ? odds.of(athlete, day.contest()) : Map.of();
    OurOdds.Known here = known.get(lift);
    DayOdds now = here == null ? null : here.odds().after(lifted.attempts());
    return new AthleteView(
        new AthleteView.Who(contestId, athleteId, day.name(athlete), facts(day, athlete), cautions(day, athlete), notes.last(contestId)),
        tabs(day, athlete, lift), lift, lifted.over(rules) ? null : now(day, athlete, lifted, now, wanted), last(lifted),
        standing(day, athlete, lifted, here, now), choices(day, athlete, lifted, here, now),
        lifted.attempts().isEmpty() && here != null ? Plans.of(day, athlete, lift, known) : null,
        new AthleteView.Rules(rules.attempts().free(), rules.attempts().step().number(), rules.attempts().toHandIn().toSeconds(),
            until(day, athlete, lifted)),
        before(day, athlete, wanted), contested.stream().allMatch(of -> day.liftDay(athlete, of).over(rules)),
        Stream.generate(() -> UUID.randomUUID().toString()).limit(FORMS).toList());
  }

  private static AthleteView.BeforeView before(Day day, ContestAthlete athlete, Wanted wanted) {
    return new AthleteView.BeforeView(wanted.prepared().isEmpty() ? PreparedForm.fields(athlete.prepared()) : wanted.prepared(),
        wanted.wrongs(), Bag.of(day, athlete));
  }

  private static AthleteView.StandingView standing(Day day, ContestAthlete athlete, LiftDay lifted, OurOdds.@Nullable Known known,
      @Nullable DayOdds odds) {
    MeetTable table = day.table();
    return new AthleteView.StandingView(standing(table, athlete, day), passing(day, athlete, lifted.lift(), table, odds),
        known == null ? null : basis(known, lifted));
  }

  private static List<ChoiceView> choices(Day day, ContestAthlete athlete, LiftDay lifted, OurOdds.@Nullable Known known,
      @Nullable DayOdds odds) {
    return known == null || odds == null ? List.of() : NextAttempt.of(lifted, day.rules(), odds, known.most()).stream().limit(SHOWN + 1L)
        .map(choice -> choice(day, athlete, lifted, choice)).toList();
  }

  private static String facts(Day day, ContestAthlete athlete) {
    AthleteSaid said = athlete.said();
    List<String> facts = new ArrayList<>();
    if (!said.category().isEmpty()) {
      facts.add("class " + said.category());
    }
    if (!said.flight().isEmpty()) {
      facts.add("flight " + said.flight());
    }
    if (said.lot() != null) {
      facts.add("lot " + said.lot());
    }
    facts.add(said.bodyMass() == null ? "not weighed in" : said.bodyMass().text());
    return day.contest().name() + " · " + String.join(", ", facts);
  }

  /** What is not as it should be. */
  static List<String> cautions(Day day, ContestAthlete athlete) {
    List<String> cautions = new ArrayList<>();
    Mass body = athlete.said().bodyMass();
    ClassLimit.over(athlete.said().category(), body).ifPresent(limit -> cautions.add(day.name(athlete) + " weighed "
        + Objects.requireNonNull(body).text() + ", over the class of " + limit.text()
        + ". It stays as it is: what the class says of it, the federation decides."));
    if (athlete.said().withdrawn()) {
      cautions.add(day.name(athlete) + " has withdrawn.");
    }
    return cautions;
  }

  private static List<AthleteView.LiftTab> tabs(Day day, ContestAthlete athlete, String here) {
    List<AthleteView.LiftTab> tabs = new ArrayList<>();
    for (String lift : day.rules().platform().lifts()) {
      LiftDay lifted = day.liftDay(athlete, lift);
      tabs.add(new AthleteView.LiftTab(lift, day.lift(lift), lift.equals(here), chips(lifted)));
    }
    return tabs;
  }

  /** The attempts of a lift in short, three at least. */
  static List<AthleteView.Chip> chips(LiftDay lifted) {
    List<AthleteView.Chip> chips = new ArrayList<>();
    for (int number = 1; number <= Math.max(SHOWN, lifted.attempts().size()); number++) {
      chips.add(chip(lifted, number));
    }
    return chips;
  }

  private static AthleteView.Chip chip(LiftDay lifted, int number) {
    Attempt attempt = lifted.attempts().stream().filter(one -> one.number() == number).findFirst().orElse(null);
    if (attempt == null) {
      return new AthleteView.Chip(number, "", "none", "attempt " + number + " to come");
    }
    String lifts = attempt.good() ? "good" : "missed";
    boolean toCome = attempt.verdict() == null;
    return new AthleteView.Chip(number, attempt.load().number(), toCome ? "next" : lifts,
        "attempt " + number + ", " + attempt.load().text() + ", " + (toCome ? "handed in" : lifts));
  }

  private static AthleteView.NowView now(Day day, ContestAthlete athlete, LiftDay lifted, @Nullable DayOdds odds, Wanted wanted) {
    Attempt handedIn = lifted.toCome();
    int number = lifted.next();
    String rack = athlete.prepared().racks().getOrDefault(lifted.lift(), "");
    if (handedIn == null) {
      return new AthleteView.NowView(number, "", "", null, rack, "", Kept.seen(null), wanted.typed(), wanted.wrong(), wanted.differs());
    }
    RuleSet rules = day.rules();
    Mass load = handedIn.load();
    int left = lifted.changesLeft(rules);
    return new AthleteView.NowView(number, load.number(), odds == null ? "" : percent(odds.chance(load)), plates(load, rules), rack,
        left == 0 ? "no change is left" : Count.of(left, "change") + " left", Kept.seen(handedIn), wanted.typed(), wanted.wrong(),
        wanted.differs());
  }

  private static AthleteView.@Nullable LastView last(LiftDay lifted) {
    List<Attempt> done = lifted.lifted();
    if (done.isEmpty()) {
      return null;
    }
    Attempt last = done.get(done.size() - 1);
    Verdict verdict = Objects.requireNonNull(last.verdict());
    return new AthleteView.LastView(last.number(), last.load().number(), verdict.good(),
        verdict.look() == null ? null : verdict.look().name(), verdict.reason() == null ? null : verdict.reason().name(),
        verdict.whites(), Kept.seen(last));
  }

  /** The plates of one side of the contest's bar, within the collars. */
  static PlatePicture plates(Mass load, RuleSet rules) {
    return PlatePicture.of(loading(load, rules).perSide(), load.unit());
  }

  static Loading loading(Mass load, RuleSet rules) {
    return loadables(rules).written(load);
  }

  /** All that the platform's bar loads. */
  static Loadables loadables(RuleSet rules) {
    return SEARCHED.get(rules.kit(), Loadables::of);
  }

  static String percent(double chance) {
    return Math.round(100 * chance) + " %";
  }

  static String points(OptionalDouble points) {
    return points.isEmpty() ? "" : BigDecimal.valueOf(points.getAsDouble()).setScale(2, RoundingMode.HALF_UP).toPlainString();
  }

  static String nth(int place) {
    boolean teen = place % 100 / 10 == 1;
    return place + (teen ? "th" : switch (place % 10) {
      case 1 -> "st";
      case 2 -> "nd";
      case 3 -> "rd";
      default -> "th";
    });
  }

  private static String standing(MeetTable table, ContestAthlete athlete, Day day) {
    Optional<MeetTable.Line> found = table.lines().stream().filter(line -> line.entrant().id() == athlete.id()).findFirst();
    if (found.isEmpty()) {
      return "Withdrawn.";
    }
    MeetTable.Line line = found.get();
    if (line.out()) {
      return "Out: every attempt of a lift was missed.";
    }
    if (line.sum().isZero()) {
      return "Nothing lifted yet.";
    }
    String points = points(line.points());
    return (line.entrant().total().isPresent() ? "Total " : "Subtotal ") + line.sum().text()
        + (points.isEmpty() ? "" : ", " + points + " " + word(day)) + ", " + place(line.place())
        + (line.place().unweighed() ? ", shared: somebody's body mass is not known, so none decides" : "");
  }

  static String word(Day day) {
    return switch (day.sheet().formula()) {
      case DOTS -> "DOTS";
      case IPFGL -> "GL points";
      case WILKS -> "Wilks";
    };
  }

  private static String place(MeetTable.Place place) {
    return place.number() == 0 ? "no place yet" : nth(place.number()) + " in class";
  }

  /** The nearest ahead and behind in the class: what passes them, and with what they still pass. */
  private static List<PassView> passing(Day day, ContestAthlete athlete, String lift, MeetTable table, @Nullable DayOdds odds) {
    Entrant me = day.entrant(athlete);
    if (me.sum().isZero()) {
      return List.of();
    }
    Passing passing = new Passing(day.rules(), lift);
    List<MeetTable.Line> field = table.lines().stream().filter(line -> line.entrant().category().equals(me.category()) && !line.out()
        && line.entrant().id() != me.id()).toList();
    List<PassView> views = new ArrayList<>();
    if (!day.liftDay(athlete, lift).over(day.rules())) {
      field.stream().filter(line -> passing.ahead(line.entrant(), line.sum(), me, me.sum()))
          .sorted(Comparator.comparing(MeetTable.Line::sum)).limit(RIVALS)
          .forEach(line -> passing.needed(me, line.entrant(), line.possible())
              .ifPresent(load -> views.add(new PassView(toPass(day, line, load, odds), false))));
    }
    field.stream().filter(line -> !passing.ahead(line.entrant(), line.sum(), me, me.sum()) || line.sum().equals(me.sum()))
        .sorted(Comparator.comparing(MeetTable.Line::sum).reversed()).limit(RIVALS)
        .forEach(line -> passing.needed(line.entrant(), me, me.possible()).ifPresent(load -> views.add(new PassView(
            day.name(day.athlete(line.entrant().id())) + " can still pass with " + load.text(), true))));
    return views;
  }

  private static String toPass(Day day, MeetTable.Line line, Mass load, @Nullable DayOdds odds) {
    return "To pass " + day.name(day.athlete(line.entrant().id())) + ": " + load.text()
        + (odds == null ? "" : ", " + percent(odds.chance(load)))
        + (line.possible().equals(line.sum()) ? "" : ", what is handed in counted as made");
  }

  private static ChoiceView choice(Day day, ContestAthlete athlete, LiftDay lifted, NextAttempt.Choice choice) {
    RuleSet rules = day.rules();
    Attempt made = Attempt.of(lifted.next(), choice.load(), Verdict.good(null));
    Entrant me = day.entrant(athlete);
    Entrant then = with(me, lifted.lifting(made));
    List<Entrant> all = day.entrants().stream().map(entrant -> entrant.id() == me.id() ? then : entrant).toList();
    Optional<MeetTable.Line> line = MeetTable.of(all, rules, day.counting()).lines().stream()
        .filter(one -> one.entrant().id() == me.id()).findFirst();
    return new ChoiceView(choice.load().number(), percent(choice.chance()),
        choice.why().stream().sorted().map(NextAttempt.Why::word).collect(Collectors.joining(", ")),
        (then.total().isPresent() ? "total " : "subtotal ") + then.sum().number(), line.map(one -> points(one.points())).orElse(""),
        line.filter(one -> one.place().number() > 0).map(one -> nth(one.place().number())).orElse(""),
        loading(choice.load(), rules).sideText());
  }

  private static Entrant with(Entrant entrant, LiftDay lift) {
    return new Entrant(entrant.id(), entrant.category(), entrant.sex(), entrant.bodyMass(), entrant.lifts().stream()
        .map(one -> one.lift().equals(lift.lift()) ? lift : one).toList());
  }

  private static String basis(OurOdds.Known known, LiftDay lifted) {
    Estimate max = known.odds().after(lifted.attempts()).max(MassUnit.KG);
    int exposures = known.ratio().exposures();
    String learned = exposures == 0 ? "our default, no contest to learn from yet" : "learned from " + Count.of(exposures, "contest");
    return "Odds by a max of the day of " + max.text(MassUnit.KG) + " kg on the platform: " + Math.round(known.ratio().percent()) + " ± "
        + Math.round(known.ratio().sd()) + " % of the gym's, " + learned + (known.most() == null ? "" : "; held to "
        + known.most().amountIn(MassUnit.KG, 1).toPlainString() + " kg");
  }

  /** When the time to hand in is over; 0 where none runs. */
  private long until(Day day, ContestAthlete athlete, LiftDay lifted) {
    List<Attempt> done = lifted.lifted();
    if (done.isEmpty() || lifted.over(day.rules()) || lifted.toCome() != null) {
      return 0;
    }
    AttemptSpot spot = new AttemptSpot(lifted.lift(), done.get(done.size() - 1).number());
    // refined or corrected, it is still the moment it was lifted that counts: the first of its entries that said so
    Instant at = notes.ofSpot(day.contest().id(), athlete.id(), spot.key(), Limit.of(5)).stream()
        .filter(note -> Kept.lifted(note.changed().after())).map(NoteRow::saidAt).min(Comparator.naturalOrder()).orElse(null);
    return at == null ? 0 : at.plus(day.rules().attempts().toHandIn()).toEpochMilli();
  }
}
