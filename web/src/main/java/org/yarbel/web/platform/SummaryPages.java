package org.yarbel.web.platform;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.ContestRatio;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.MockCheck;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.contest.meet.MeetTable;
import org.yarbel.core.contest.strongman.Overall;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Learned;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Outlook;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Tracking;

/** Works out the summary of a contest's day. */
@Service
class SummaryPages {
  private static final int WEEKS_OF_RATINGS = 4;

  private final ContestDays days;
  private final LoggedSetRepository sets;
  private final LiftNumbersRepository numbers;
  private final Tracking tracking;
  private final Contests contests;
  private final ClubClock clock;

  SummaryPages(ContestDays days, LoggedSetRepository sets, LiftNumbersRepository numbers, Tracking tracking, Contests contests,
      ClubClock clock) {
    this.days = days;
    this.sets = sets;
    this.numbers = numbers;
    this.tracking = tracking;
    this.contests = contests;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public SummaryView view(long contestId) {
    Day day = days.day(contestId);
    LocalDate on = day.contest().day();
    boolean over = on != null && !on.isAfter(clock.today());
    MeetTable table = day.strongman() ? new MeetTable(List.of()) : day.table();
    List<SummaryView.OneView> ours = new ArrayList<>();
    for (ContestAthlete athlete : day.athletes()) {
      Lifter lifter = day.lifter(athlete);
      if (lifter != null) {
        ours.add(one(day, table, athlete, lifter));
      }
    }
    return new SummaryView(contestId, day.contest().name(), DayPages.date(on), day.contest().said().place(), day.strongman(),
        day.sheet().mock(), over, ours, day.contest().open());
  }

  private SummaryView.OneView one(Day day, MeetTable table, ContestAthlete athlete, Lifter lifter) {
    LocalDate on = day.contest().day();
    List<SummaryView.LiftLine> lifts = new ArrayList<>();
    List<String> ratings = new ArrayList<>();
    if (!day.strongman()) {
      for (String lift : day.rules().platform().lifts()) {
        LiftDay lifted = day.liftDay(athlete, lift);
        Optional<LiftNumbers> own = own(lifter, lift);
        lifts.add(line(day, lifted, on == null ? "" : record(lifter, lifted, on), on == null ? "" : own.flatMap(numbersOf -> ratio(lifted,
            numbersOf, on, athlete)).orElse("")));
        if (on != null && day.sheet().mock()) {
          own.flatMap(numbersOf -> ratings(day, lifter, lifted, numbersOf, on, athlete)).ifPresent(ratings::add);
        }
      }
    }
    return new SummaryView.OneView(athlete.id(), lifter.id(), lifter.name(), facts(athlete), result(day, table, athlete), lifts,
        day.strongman() ? EventsPages.words(day, athlete) : List.of(), ratings,
        athlete.loggedAt() != null, on == null ? null : doubt(day, athlete, lifter, on), next(lifter, on));
  }

  private Optional<LiftNumbers> own(Lifter lifter, String lift) {
    return numbers.findByLifterIdAndLift(lifter.id(), lift);
  }

  private static String facts(ContestAthlete athlete) {
    return (athlete.said().category().isEmpty() ? "" : "class " + athlete.said().category() + ", ") + (athlete.said().bodyMass() == null
        ? "not weighed in" : athlete.said().bodyMass().text());
  }

  private static SummaryView.LiftLine line(Day day, LiftDay lifted, String record, String ratio) {
    String words = lifted.lifted().stream().filter(attempt -> attempt.verdict() != null && attempt.verdict().reason() != null)
        .map(attempt -> attempt.number() + ": " + Optional.ofNullable(attempt.verdict()).map(Verdict::reason).map(Verdict.Reason::word)
            .orElse("")).collect(Collectors.joining(", "));
    return new SummaryView.LiftLine(day.lift(lifted.lift()), AthletePages.chips(lifted), lifted.best().map(Mass::text).orElse(""), record,
        ratio, words);
  }

  private static String result(Day day, MeetTable table, ContestAthlete athlete) {
    if (day.strongman()) {
      Overall.Line line = day.overall(athlete.said().category()).of(Day.key(athlete));
      return AthletePages.nth(line.place()) + " with " + line.points() + " points" + (line.withdrawn() ? ", withdrawn" : "");
    }
    Optional<MeetTable.Line> found = table.lines().stream().filter(line -> line.entrant().id() == athlete.id()).findFirst();
    if (found.isEmpty()) {
      return "Withdrawn";
    }
    MeetTable.Line line = found.get();
    String points = AthletePages.points(line.points());
    String total = (line.entrant().total().isPresent() ? "Total " : "Sum so far ") + line.sum().text();
    return line.out() ? "Out: every attempt of a lift was missed" : total + (points.isEmpty() ? "" : ", " + points + " "
        + AthletePages.word(day)) + (line.place().number() == 0 ? "" : ", " + AthletePages.nth(line.place().number()) + " in class")
        + (line.byPoints() == 0 ? "" : ", " + AthletePages.nth(line.byPoints()) + " by points");
  }

  /** Whether it is a best of the lifter: ever, or on the platform. */
  private String record(Lifter lifter, LiftDay lifted, LocalDate on) {
    Mass best = lifted.best().orElse(null);
    if (best == null) {
      return "";
    }
    Long ever = sets.heaviestBefore(lifter.id(), lifted.lift(), on, false);
    Long platform = sets.heaviestBefore(lifter.id(), lifted.lift(), on, true);
    if (ever == null || best.nanograms() > ever) {
      return "the best ever" + before(ever, best);
    }
    return platform == null || best.nanograms() > platform ? "the best on a platform" + before(platform, best) : "";
  }

  private static String before(@Nullable Long nanograms, Mass best) {
    return nanograms == null ? ", the first on record" : ", before " + Mass.ofNanograms(nanograms, MassUnit.KG).shownIn(best.unit()).text();
  }

  /** What of the gym's max of before the day was made. */
  private static Optional<String> ratio(LiftDay lifted, LiftNumbers own, LocalDate on, ContestAthlete athlete) {
    Optional<Mass> best = lifted.best();
    Optional<Estimate> gym = OurOdds.gym(athlete, own, on);
    return best.isEmpty() || gym.isEmpty() ? Optional.empty() : Optional.of(Math.round(100 * best.get().ratioTo(gym.get().max())) + " % of "
        + gym.get().text(MassUnit.KG) + " kg; the next odds go by " + learned(lifted, gym.get(), on));
  }

  private static String learned(LiftDay lifted, Estimate gym, LocalDate on) {
    var ratio = ContestRatio.of(List.of(new ContestRatio.Past(on, lifted, gym)), on);
    return Math.round(ratio.percent()) + " ± " + Math.round(ratio.sd()) + " %";
  }

  /** What a mock contest says of the ratings of the four weeks before. */
  private Optional<String> ratings(Day day, Lifter lifter, LiftDay lifted, LiftNumbers own, LocalDate on, ContestAthlete athlete) {
    Optional<Mass> best = IntoLog.tested(lifted, day);
    Optional<Outlook> before = own.outlook(clock.today());
    if (best.isEmpty() || before.isEmpty() || athlete.loggedAt() != null) {
      return Optional.empty();
    }
    List<Observation> log = tracking.since(lifter.id(), lifted.lift(), on.minusWeeks(WEEKS_OF_RATINGS));
    MockCheck check = MockCheck.of(log, on, best.get(), own.chart());
    Learned old = before.get().learned();
    Learned now = Objects.requireNonNull(tracking.foreseen(lifter, lifted.lift(), IntoLog.observations(lifted, on)).standing())
        .on(clock.today()).learned();
    return Optional.of(day.lift(lifted.lift()) + ": by a max of " + best.get().text() + " the ratings of the last four weeks "
        + (check.sets().isEmpty() ? "were none" : said(check.bias()) + ", by " + Count.of(check.sets().size(), "set"))
        + ". The rating bias is " + bias(old) + " now, and " + bias(now) + " once this is in the log");
  }

  private static String said(double bias) {
    double shown = Math.rint(10 * bias) / 10;
    if (shown == 0) {
      return "were about right";
    }
    return "said " + Math.abs(shown) + (Math.abs(shown) == 1 ? " rep" : " reps") + (shown > 0 ? " too many were left"
        : " too few were left");
  }

  private static String bias(Learned learned) {
    return String.format(Locale.ENGLISH, "%+.1f ± %.1f", learned.ratingBias().value(), learned.ratingBias().sd()) + " reps";
  }

  /** Sets of the card of the same day would count twice. */
  private @Nullable String doubt(Day day, ContestAthlete athlete, Lifter lifter, LocalDate on) {
    List<LoggedSetRow> beside = sets.between(lifter.id(), day.rules().platform().lifts(), on, on).stream().filter(row -> !row.told())
        .toList();
    return beside.isEmpty() || athlete.loggedAt() != null ? null : Count.of(beside.size(), "set") + " of that day "
        + (beside.size() == 1 ? "is" : "are") + " logged from a card already: attempts that are among them would count twice.";
  }

  /** What comes next, by the contests that follow. */
  private String next(Lifter lifter, @Nullable LocalDate on) {
    return contests.of(lifter.id()).stream().filter(going -> going.contest().takesPlace())
        .filter(going -> on != null && Objects.requireNonNull(going.contest().day()).isAfter(on)).findFirst()
        .map(going -> "Next is " + going.contest().name() + " on " + DayPages.date(going.contest().day())
            + ": an easy week first, then the long plan leads there.")
        .orElse("No contest follows yet: an easy week first, then write one down, or plan a block without one.");
  }
}
