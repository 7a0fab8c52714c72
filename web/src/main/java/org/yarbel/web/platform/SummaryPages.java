package org.yarbel.web.platform;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.ContestRatio;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.contest.meet.MeetTable;
import org.yarbel.core.contest.strongman.Overall;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;

/** Works out the summary of a contest's day. */
@Service
class SummaryPages {
  private final ContestDays days;
  private final Background.Reader reader;
  private final MockWords mock;
  private final ClubClock clock;

  SummaryPages(ContestDays days, Background.Reader reader, MockWords mock, ClubClock clock) {
    this.days = days;
    this.reader = reader;
    this.mock = mock;
    this.clock = clock;
  }

  /** What is known of a day while its summary is written. */
  private record Known(Day day, MeetTable table, Background background) {
    @Nullable LocalDate on() {
      return day.contest().day();
    }
  }

  /**
   * The summary.
   *
   * @param whole whether what a mock contest says of ratings may run all of a log again
   */
  @Transactional(readOnly = true)
  public SummaryView view(long contestId, boolean whole) {
    Day day = days.day(contestId);
    Known known = new Known(day, day.strongman() ? new MeetTable(List.of()) : day.table(), reader.of(day));
    LocalDate on = known.on();
    boolean over = on != null && !on.isAfter(clock.today());
    List<SummaryView.OneView> ours = new ArrayList<>();
    for (ContestAthlete athlete : day.athletes()) {
      Lifter lifter = day.lifter(athlete);
      if (lifter != null) {
        ours.add(one(known, athlete, lifter, whole));
      }
    }
    return new SummaryView(contestId, day.contest().name(), DayPages.date(on), day.contest().said().place(), day.strongman(),
        day.sheet().mock(), over, ours, day.contest().open());
  }

  private SummaryView.OneView one(Known known, ContestAthlete athlete, Lifter lifter, boolean whole) {
    Day day = known.day();
    List<SummaryView.LiftLine> lifts = new ArrayList<>();
    List<SummaryView.RatingsLine> ratings = new ArrayList<>();
    if (!day.strongman()) {
      for (String lift : day.rules().platform().lifts()) {
        LiftDay lifted = day.liftDay(athlete, lift);
        lifts.add(line(known, athlete, lifted));
        if (day.sheet().mock() && athlete.loggedAt() == null) {
          mock.line(day, lifter, lifted, known.background(), whole).ifPresent(ratings::add);
        }
      }
    }
    return new SummaryView.OneView(athlete.id(), lifter.id(), lifter.name(), facts(athlete),
        day.strongman() ? placed(day, athlete) : total(known, athlete), lifts,
        day.strongman() ? EventsPages.words(day, athlete) : List.of(), ratings, athlete.loggedAt() != null, doubt(known, athlete, lifter),
        next(known, lifter));
  }

  private static String facts(ContestAthlete athlete) {
    Mass body = athlete.said().bodyMass();
    return (athlete.said().category().isEmpty() ? "" : "class " + athlete.said().category() + ", ")
        + (body == null ? "not weighed in" : body.text());
  }

  private static SummaryView.LiftLine line(Known known, ContestAthlete athlete, LiftDay lifted) {
    String words = lifted.lifted().stream()
        .flatMap(attempt -> Optional.ofNullable(attempt.verdict()).map(Verdict::reason)
            .map(reason -> attempt.number() + ": " + reason.word()).stream())
        .collect(Collectors.joining(", "));
    return new SummaryView.LiftLine(known.day().lift(lifted.lift()), AthletePages.chips(lifted), lifted.best().map(Mass::text).orElse(""),
        record(known, athlete, lifted), ratio(known, athlete, lifted), words);
  }

  private static String placed(Day day, ContestAthlete athlete) {
    Overall.Line line = day.overall(athlete.said().category()).of(Day.key(athlete));
    return AthletePages.nth(line.place()) + " with " + line.points() + " points" + (line.withdrawn() ? ", withdrawn" : "");
  }

  private static String total(Known known, ContestAthlete athlete) {
    MeetTable.Line line = known.table().lines().stream().filter(one -> one.entrant().id() == athlete.id()).findFirst().orElse(null);
    if (line == null) {
      return "Withdrawn";
    }
    if (line.out()) {
      return "Out: every attempt of a lift was missed";
    }
    List<String> facts = new ArrayList<>();
    facts.add((line.entrant().total().isPresent() ? "Total " : "Sum so far ") + line.sum().text());
    String points = AthletePages.points(line.points());
    if (!points.isEmpty()) {
      facts.add(points + " " + AthletePages.word(known.day()));
    }
    if (line.place().number() > 0) {
      facts.add(AthletePages.nth(line.place().number()) + " in class");
    }
    if (line.byPoints() > 0) {
      facts.add(AthletePages.nth(line.byPoints()) + " by points");
    }
    return String.join(", ", facts);
  }

  /** Whether it is a best of the lifter: ever, or on the platform. */
  private static String record(Known known, ContestAthlete athlete, LiftDay lifted) {
    Mass best = lifted.best().orElse(null);
    if (best == null || known.on() == null) {
      return "";
    }
    Optional<LoggedSetRepository.Heaviest> before = known.background().heaviest(Objects.requireNonNull(athlete.lifterId()), lifted.lift());
    Long ever = before.map(LoggedSetRepository.Heaviest::getEver).orElse(null);
    Long platform = before.map(LoggedSetRepository.Heaviest::getContest).orElse(null);
    if (ever == null || best.nanograms() > ever) {
      return "the best ever" + before(ever, best);
    }
    return platform == null || best.nanograms() > platform ? "the best on a platform" + before(platform, best) : "";
  }

  private static String before(@Nullable Long nanograms, Mass best) {
    return nanograms == null ? ", the first on record" : ", before " + Mass.ofNanograms(nanograms, MassUnit.KG).shownIn(best.unit()).text();
  }

  /** What of the gym's max of before the day was made. */
  private static String ratio(Known known, ContestAthlete athlete, LiftDay lifted) {
    LocalDate on = known.on();
    Mass best = lifted.best().orElse(null);
    LiftNumbers own = known.background().numbers(Objects.requireNonNull(athlete.lifterId()), lifted.lift()).orElse(null);
    if (on == null || best == null || own == null) {
      return "";
    }
    return OurOdds.gym(athlete, own, on).map(gym -> Math.round(100 * best.ratioTo(gym.max())) + " % of " + gym.text(MassUnit.KG)
        + " kg; the next odds go by " + learned(lifted, gym, on)).orElse("");
  }

  private static String learned(LiftDay lifted, Estimate gym, LocalDate on) {
    var ratio = ContestRatio.of(List.of(new ContestRatio.Past(on, lifted, gym)), on);
    return Math.round(ratio.percent()) + " ± " + Math.round(ratio.sd()) + " %";
  }

  /** Sets of the card of the same day would count twice. */
  private static @Nullable String doubt(Known known, ContestAthlete athlete, Lifter lifter) {
    int beside = (int) known.background().sets().getOrDefault(lifter.id(), List.of()).stream()
        .filter(row -> row.day().equals(known.on()) && !row.told()).count();
    return beside == 0 || athlete.loggedAt() != null ? null : Count.of(beside, "set") + " of that day " + (beside == 1 ? "is" : "are")
        + " logged from a card already: attempts that are among them would count twice.";
  }

  /** What comes next, by the contests that follow. */
  private static String next(Known known, Lifter lifter) {
    LocalDate on = known.on();
    return known.background().going().getOrDefault(lifter.id(), List.of()).stream().filter(going -> going.contest().takesPlace())
        .filter(going -> on != null && Objects.requireNonNull(going.contest().day()).isAfter(on)).findFirst()
        .map(going -> "Next is " + going.contest().name() + " on " + DayPages.date(going.contest().day())
            + ": an easy week first, then the long plan leads there.")
        .orElse("No contest follows yet: an easy week first, then write one down, or plan a block without one.");
  }
}
