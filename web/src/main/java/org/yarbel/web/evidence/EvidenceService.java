package org.yarbel.web.evidence;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.LearnedWords;
import org.yarbel.core.track.RatingSkill;
import org.yarbel.core.track.SpeedProfile;
import org.yarbel.core.track.SpeedTable;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Speeds;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.session.CheckedInRepository;

/** Reads what stands beside a lifter's ratings; a year of one lift at the most. */
@Service
class EvidenceService {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final int WEEKS = 52;
  private static final int SHOWN = 30;

  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final LoggedSetRepository log;
  private final Speeds speeds;
  private final Lifts lifts;
  private final ClubClock clock;
  private final CheckedInRepository checkIns;

  EvidenceService(LifterRepository lifters, LiftNumbersRepository numbers, LoggedSetRepository log, Speeds speeds, Lifts lifts,
      ClubClock clock, CheckedInRepository checkIns) {
    this.checkIns = checkIns;
    this.lifters = lifters;
    this.numbers = numbers;
    this.log = log;
    this.speeds = speeds;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** A lift to choose. */
  record LiftChoice(String key, String name, boolean open) {}

  /** A pair that tells: both sets, and how far off the rating was. */
  record PairView(String day, String rated, String failed, String off, boolean far) {}

  /** A pair in the picture. */
  record PairDot(double x, double y, String label) {}

  /**
   * How well somebody rates a lift.
   *
   * @param practice whether ratings are practice: a beginner's, until they have stayed within a rep for eight weeks
   * @param tracker what the tracker made of all ratings; null where it says no more than of everybody
   * @param due when the next set that nobody stops is due, in words
   */
  record Ratings(String lifter, long lifterId, List<LiftChoice> lifts, @Nullable String lift, String words, boolean tooFarOff,
      boolean beginner, boolean practice, @Nullable String tracker, String due, List<PairView> pairs, List<PairDot> dots,
      @Nullable SpeedView speed) {}

  /** What bar speed says in one lift. */
  record SpeedView(String lift, List<SpeedRow> rows, @Nullable String line, @Nullable String refused, @Nullable String max,
      @Nullable String tracked) {}

  /** One rating with its speeds, or what stands for none. */
  record SpeedRow(String rpe, String singles, String lastReps) {}

  @Transactional(readOnly = true)
  List<SpeedView> speed(long lifterId) {
    Lifter lifter = lifter(lifterId);
    List<LiftNumbers> own = numbers.findByLifterIdIn(List.of(lifterId));
    List<SpeedView> views = new ArrayList<>();
    speeds.of(lifter, own).forEach((lift, table) -> views.add(view(lifter, own, lift, table)));
    return views;
  }

  /** How somebody came to a session, in words. */
  record CheckInView(String day, String words) {}

  /** The last check-ins that say anything, the newest first. */
  @Transactional(readOnly = true)
  List<CheckInView> checkIns(long lifterId) {
    lifter(lifterId);
    return checkIns.findByLifterIdOrderByDayDesc(lifterId, Limit.of(SHOWN)).stream().filter(row -> row.said().any())
        .map(row -> new CheckInView(DAY.format(row.day()), row.said().words())).toList();
  }

  Lifter lifter(long id) {
    return lifters.findById(id).orElseThrow(NotFound::new);
  }

  private SpeedView view(Lifter lifter, List<LiftNumbers> own, String lift, SpeedTable table) {
    String unit = " " + lifter.unit();
    SpeedProfile line = table.line();
    Mass max = table.max();
    String source = table.own() ? ", at the speed of the slowest single" : ", at a typical speed of a max";
    return new SpeedView(name(lift), table.rows().stream().map(row -> new SpeedRow("@" + row.rpe(), words(row.singles()),
        words(row.lastReps()))).toList(), line == null ? null : line(line), table.refused(),
        max == null ? null : max.amountIn(lifter.unit(), 1).toPlainString() + unit + source, own.stream()
            .filter(numbers -> numbers.lift().equals(lift)).findFirst().map(numbers -> numbers.estimate(lifter.unit(), clock.today()))
            .map(estimate -> estimate.text(lifter.unit()) + unit).orElse(null));
  }

  private static String line(SpeedProfile line) {
    return String.format(Locale.ROOT, "v = %.2f − %.4f m/s a kg, R² %.2f, ", line.a(), -line.b(), line.r2())
        + Count.of(line.points().size(), "set");
  }

  private static String words(SpeedTable.@Nullable Range range) {
    return range == null ? "–" : range.words() + " (" + range.count() + ")";
  }

  private String name(String key) {
    return lifts.catalogue().ofKey(key).map(Lift::name).orElse(key);
  }

  /** How well somebody rates a lift; of the first of theirs where none is named. */
  @Transactional(readOnly = true)
  Ratings ratings(long lifterId, String wanted) {
    Lifter lifter = lifter(lifterId);
    LocalDate today = clock.today();
    List<LiftNumbers> own = numbers.findByLifterIdIn(List.of(lifterId));
    Catalogue catalogue = lifts.catalogue();
    List<Lift> known = catalogue.all().stream().filter(lift -> own.stream().anyMatch(n -> n.lift().equals(lift.key()))).toList();
    Lift open = catalogue.ofKey(wanted).filter(known::contains).or(() -> known.stream().findFirst()).orElse(null);
    List<LiftChoice> choices = known.stream().map(lift -> new LiftChoice(lift.key(), lift.name(), lift.equals(open))).toList();
    if (open == null) {
      return new Ratings(lifter.name(), lifterId, choices, null, "", false, false, false, null, "", List.of(), List.of(), null);
    }
    LiftNumbers of = own.stream().filter(n -> n.lift().equals(open.key())).findFirst().orElseThrow();
    LocalDate from = today.minusWeeks(WEEKS);
    RatingSkill skill = RatingSkill.of(log.ofLiftSince(lifterId, open.key(), from).stream().map(LoggedSetRow::rated).toList());
    SpeedTable table = speeds.of(lifter, own).get(open.key());
    List<RatingSkill.Pair> pairs = skill.pairs();
    boolean beginner = of.level() == Level.BEGINNER;
    return new Ratings(lifter.name(), lifterId, choices, open.name(), skill.words(), skill.tooFarOff(), beginner,
        beginner && !skill.practised(), of.outlook(today).map(outlook -> LearnedWords.of(outlook.learned(), of.level()).ratings())
            .orElse(null),
        due(skill.checkDue(today), today), pairs.stream().skip(Math.max(0, pairs.size() - SHOWN)).map(pair -> view(pair, lifter.unit()))
            .toList(), pairs.stream().map(pair -> dot(pair, from)).toList(),
        table == null ? null : view(lifter, own, open.key(), table));
  }

  private static String due(LocalDate due, LocalDate today) {
    return due.isAfter(today) ? "due on " + DAY.format(due) : "due now";
  }

  private static PairView view(RatingSkill.Pair pair, MassUnit unit) {
    RatingSkill.Rated rated = pair.rated();
    double off = pair.off();
    String reps = Math.abs(off) + (Math.abs(off) == 1 ? " rep" : " reps");
    String far = off > 0 ? reps.replace(".0", "") + " fewer left than said" : reps.replace(".0", "") + " more left than said";
    return new PairView(DAY.format(rated.day()), rated.load().shownIn(unit).number() + " × " + rated.reps() + " @" + rated.rpe(),
        pair.failed().load().shownIn(unit).number() + " × " + pair.failed().reps() + " to failure", off == 0 ? "just as said" : far,
        Math.abs(off) > 1);
  }

  /** A year from left to right, four reps up and down. */
  private static PairDot dot(RatingSkill.Pair pair, LocalDate from) {
    double x = 40 + 900.0 * ChronoUnit.DAYS.between(from, pair.rated().day()) / (7 * WEEKS);
    double y = 80 - 18 * Math.max(-4, Math.min(4, pair.off()));
    return new PairDot(Math.rint(10 * x) / 10, y, DAY.format(pair.rated().day()) + ": " + pair.off());
  }
}
