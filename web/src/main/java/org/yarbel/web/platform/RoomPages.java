package org.yarbel.web.platform;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.WarmUpRamp;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.WarmUpClock;
import org.yarbel.core.contest.meet.Opening;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.kit.PlateSeries;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.Prepared;
import org.yarbel.web.lifter.Lifter;

/** Works out the warm-up room: of every lifter of the club when each step is due. */
@Service
class RoomPages {
  private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH);

  private final ContestDays days;
  private final OurOdds odds;
  private final ClubClock clock;

  RoomPages(ContestDays days, OurOdds odds, ClubClock clock) {
    this.days = days;
    this.odds = odds;
    this.clock = clock;
  }

  private record Step(ContestAthlete athlete, String lift, int number, RampStep ramp, Instant at) {}

  /**
   * The warm-up room.
   *
   * @param shared whether all share one bar
   */
  @Transactional(readOnly = true)
  public RoomView view(long contestId, boolean shared) {
    Day day = days.day(contestId);
    List<RoomView.WarmingView> warming = new ArrayList<>();
    List<Step> steps = new ArrayList<>();
    List<String> waiting = new ArrayList<>();
    for (ContestAthlete athlete : day.athletes()) {
      Lifter lifter = day.lifter(athlete);
      if (lifter == null || athlete.said().withdrawn()) {
        continue;
      }
      String lift = toWarm(day, athlete);
      if (lift == null) {
        waiting.add(day.name(athlete) + " has no opener to come.");
        continue;
      }
      Mass opener = opener(day, athlete, lift);
      Instant start = start(day, athlete, lift);
      if (opener == null || start == null) {
        waiting.add(day.name(athlete) + ", " + day.lift(lift).toLowerCase(Locale.ROOT) + ": " + (opener == null
            ? "no opener, and no max to plan one from." : "no start of the flight is written down."));
        continue;
      }
      int ahead = ahead(day, athlete, lift, opener);
      Instant platform = new WarmUpClock.Call(start, ahead, Duration.ofMinutes(day.sheet().lateMinutes())).platform(day.rules());
      List<Step> own = steps(day, athlete, lift, opener, platform);
      steps.addAll(own);
      warming.add(new RoomView.WarmingView(athlete.id(), day.name(athlete), lift, day.lift(lift), opener.text(), platform.toEpochMilli(),
          wall(platform), ahead));
    }
    steps.sort(Comparator.comparing(Step::at));
    warming.sort(Comparator.comparing(RoomView.WarmingView::at));
    return new RoomView(contestId, day.contest().name(), day.sheet().lateMinutes(), day.rules().platform().anAttempt().toSeconds(), shared,
        warming, due(day, steps, shared), waiting, WarmUpClock.words());
  }

  private List<RoomView.DueView> due(Day day, List<Step> steps, boolean shared) {
    List<Loading> loadings = shared
        ? PlateSeries.of(steps.stream().map(step -> step.ramp().load()).toList(), AthletePages.loadables(day.rules()))
        : steps.stream().map(step -> step.ramp().loading()).toList();
    List<RoomView.DueView> due = new ArrayList<>();
    for (int at = 0; at < steps.size(); at++) {
      Step step = steps.get(at);
      String changes = shared && at > 0 ? changes(loadings.get(at - 1), loadings.get(at)) : null;
      due.add(new RoomView.DueView(step.athlete().id(), day.name(step.athlete()), step.lift(),
          day.lift(step.lift()).toLowerCase(Locale.ROOT), step.number(), step.ramp().load().number(),
          step.ramp().reps(), loadings.get(at).sideText(), step.at().toEpochMilli(), wall(step.at()),
          done(step.athlete(), step.lift()).contains(step.number()), changes));
    }
    return due;
  }

  /** What comes off and goes on, on one side. */
  private static String changes(Loading from, Loading to) {
    int same = 0;
    while (same < Math.min(from.perSide().size(), to.perSide().size()) && from.perSide().get(same).equals(to.perSide().get(same))) {
      same++;
    }
    List<Mass> off = from.perSide().subList(same, from.perSide().size());
    List<Mass> on = to.perSide().subList(same, to.perSide().size());
    String taken = off.isEmpty() ? "" : "off " + Loading.sideText(off, to.total().unit());
    String put = on.isEmpty() ? "" : "on " + Loading.sideText(on, to.total().unit());
    String both = taken.isEmpty() || put.isEmpty() ? taken + put : taken + ", " + put;
    return both.isEmpty() ? "as it is" : both;
  }

  private String wall(Instant at) {
    return TIME.format(clock.local(at));
  }

  private static List<Integer> done(ContestAthlete athlete, String lift) {
    Prepared.WarmUp warm = athlete.prepared().warmUps().get(lift);
    return warm == null ? List.of() : warm.done();
  }

  /** The next lift of which nothing is lifted yet; null where there is none. */
  private static @Nullable String toWarm(Day day, ContestAthlete athlete) {
    return day.rules().platform().lifts().stream().filter(lift -> day.liftDay(athlete, lift).lifted().isEmpty()).findFirst().orElse(null);
  }

  private @Nullable Mass opener(Day day, ContestAthlete athlete, String lift) {
    LiftDay lifted = day.liftDay(athlete, lift);
    Attempt handedIn = lifted.toCome();
    if (handedIn != null) {
      return handedIn.load();
    }
    Mass decided = athlete.prepared().openers().get(lift);
    if (decided != null) {
      return decided;
    }
    OurOdds.Known known = odds.of(athlete, day.contest()).get(lift);
    return known == null ? null : OddsDocuments.opener(athlete, lift, known, day.rules());
  }

  private @Nullable Instant start(Day day, ContestAthlete athlete, String lift) {
    LocalDate on = day.contest().day();
    String flight = athlete.said().flight();
    LocalTime theirs = day.sheet().start(flight, lift);
    LocalTime at = theirs == null ? day.sheet().start("", lift) : theirs;
    return on == null || at == null ? null : on.atTime(at).atZone(clock.zone()).toInstant();
  }

  /** As somebody counted them, else as many of the flight as open lighter; of equal openers the lower lot goes first. */
  private static int ahead(Day day, ContestAthlete athlete, String lift, Mass opener) {
    Prepared.WarmUp warm = athlete.prepared().warmUps().get(lift);
    if (warm != null && warm.ahead() != null) {
      return warm.ahead();
    }
    Opening mine = new Opening(opener, athlete.said().lot());
    return (int) day.athletes().stream()
        .filter(other -> other.id() != athlete.id() && !other.said().withdrawn() && other.said().flight().equals(athlete.said().flight()))
        .filter(other -> opening(day.liftDay(other, lift), other).filter(theirs -> theirs.before(mine)).isPresent()).count();
  }

  /** What somebody opens with; empty where nothing is handed in, and once it is lifted. */
  private static Optional<Opening> opening(LiftDay lifted, ContestAthlete athlete) {
    return lifted.attempts().stream().findFirst().filter(first -> first.verdict() == null)
        .map(first -> new Opening(first.load(), athlete.said().lot()));
  }

  private static List<Step> steps(Day day, ContestAthlete athlete, String lift, Mass opener, Instant platform) {
    RuleSet rules = day.rules();
    Movement movement = day.lifts().ofKey(lift).map(Lift::movement).orElse(Movement.OTHER);
    List<RampStep> ramp = WarmUpRamp.to(opener, AthletePages.loadables(rules), movement, Objects.requireNonNull(day.lifter(athlete)).ramp())
        .steps();
    List<WarmUpClock.Due> due = WarmUpClock.of(ramp.stream().map(RampStep::load).toList(), opener, platform);
    List<Step> steps = new ArrayList<>();
    for (int number = 0; number < ramp.size(); number++) {
      steps.add(new Step(athlete, lift, number, ramp.get(number), due.get(number).at()));
    }
    return steps;
  }
}
