package org.yarbel.web.board;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.lift.Muscle;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.Zone;
import org.yarbel.core.watch.Finding;
import org.yarbel.core.watch.Severity;
import org.yarbel.core.watch.WatchedLine;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.LineLoads;
import org.yarbel.web.program.Progression;
import org.yarbel.web.watch.Silence;
import org.yarbel.web.watch.WeekWatch;

/**
 * What stands around the days of a week: findings, sums, how the lifts come back, methods and easy weeks.
 *
 * @param easy the kind of easy week it is; null for none
 * @param margins findings of each day, by ISO date
 * @param ofWeek findings about the whole week
 * @param quiet remarks of methods that have nothing to do this week
 * @param writtenTo how far methods have written where this week is further ahead; null where it is not
 */
public record WeekPanel(@Nullable EasyWeek easy, Map<String, List<FindingView>> margins, List<FindingView> ofWeek, Counts counts,
    List<LiftRow> lifts, List<MuscleRow> muscles,
    Sums sums, Map<String, String> minutes, List<MethodView> methods, List<String> quiet, @Nullable String writtenTo,
    List<SilenceView> silences) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  /** What a line would come to with another text. */
  @FunctionalInterface
  interface Quick {
    String loads(long slotId, String work);
  }

  /** An easy week. */
  public record EasyWeek(String kind, String word, String meaning, String ceiling) {}

  /**
   * A finding beside what it is about.
   *
   * @param slotId null for the day or the week
   * @param about the lift of the line; empty for the day or the week
   * @param mend another text for the line; null where there is none
   * @param before the line's loads
   * @param after the loads with the mend
   * @param move the lines that go to another day; null where no move puts it right
   */
  public record FindingView(String check, String severity, String sentence, String source, @Nullable Long slotId, String about, String lift,
      @Nullable String mend,
      @Nullable String mendWords, String before, String after, Finding.@Nullable Move move) {}

  /** How many findings there are of each severity. */
  public record Counts(long stops, long doubts, long notes) {
    public boolean none() {
      return stops + doubts + notes == 0;
    }
  }

  /** A lift's sums. */
  public record LiftRow(String lift, long sets, String reps, String tonnes, String top, int days, List<String> zones) {}

  /** A muscle's hard sets; width for the bar that shows it. */
  public record MuscleRow(String muscle, String sets, long width) {}

  /** Sums of the week. */
  public record Sums(long sets, String tonnes, String mainShare, String minutes) {}

  /** A method at work. */
  public record MethodView(long id, String lift, String method, String key) {}

  /** What was silenced, and why. */
  public record SilenceView(long id, String what, String lift, String reason, String since, boolean holds) {}

  static WeekPanel of(Lifter lifter, LifterContext context, WeekWatch.SeenWeek seen, List<Silence> record, List<String> quiet,
      @Nullable LocalDate writtenTo, Quick quick) {
    Map<String, List<FindingView>> margins = seen.findings().stream().filter(f -> f.day() != null)
        .collect(Collectors.groupingBy(f -> String.valueOf(f.day()), Collectors.mapping(f -> view(f, seen, quick), Collectors.toList())));
    WeekTotals totals = seen.totals();
    Deload kind = seen.week().deload();
    return new WeekPanel(kind == null ? null : new EasyWeek(kind.name(), kind.word(), kind.meaning(), kind.ceiling()), margins,
        seen.findings().stream().filter(f -> f.day() == null).map(f -> view(f, seen, quick)).toList(), counts(seen.findings()),
        totals.lifts().stream().filter(l -> l.hardSets() > 0 || l.reps() > 0).map(WeekPanel::lift).toList(), muscles(totals),
        new Sums(totals.hardSets(), number(totals.tonnes(), 1), Long.toString(Math.round(totals.mainShare())), hours(seen.minutes().values()
            .stream().mapToInt(Integer::intValue).sum())),
        seen.minutes().entrySet().stream().filter(e -> e.getValue() > 0).collect(Collectors.toMap(e -> e.getKey()
            .toString(), e -> hours(e.getValue()))),
        seen.methods().stream().map(p -> method(p, context)).toList(), quiet, writtenTo == null ? null : DAY.format(writtenTo),
        record.stream().map(WeekPanel::silence).toList());
  }

  private static FindingView view(Finding found, WeekWatch.SeenWeek seen, Quick quick) {
    Long slot = found.line();
    Optional<CountedLine> line = slot == null ? Optional.empty()
        : seen.week().lines().stream().map(WatchedLine::counted).filter(l -> l.id() == slot).findFirst();
    boolean begun = line.filter(l -> l.resolved().sets().stream().anyMatch(ResolvedSet::logged)).isPresent();
    Finding.Mend mend = begun ? null : found.mend();
    String before = mend == null ? "" : line.map(l -> String.join(" · ", LineLoads.of(l.resolved()))).orElse("");
    return new FindingView(found.check(), found.severity().word(), found.sentence(), found.source(), slot,
        line.map(l -> l.lift().name()).orElse(""), found.lift(), mend == null ? null : mend.work(),
        mend == null ? null : mend.words(), before, mend == null || slot == null ? "" : quick.loads(slot, mend.work()), found.move());
  }

  private static Counts counts(List<Finding> findings) {
    Map<Severity, Long> by = findings.stream().collect(Collectors.groupingBy(Finding::severity, Collectors.counting()));
    return new Counts(by.getOrDefault(Severity.STOP, 0L), by.getOrDefault(Severity.DOUBT, 0L), by.getOrDefault(Severity.NOTE, 0L));
  }

  private static LiftRow lift(WeekTotals.OfLift lift) {
    List<String> zones = new ArrayList<>();
    for (Zone zone : Zone.values()) {
      double reps = lift.zones().getOrDefault(zone, 0.0);
      zones.add(reps == 0 ? "" : Long.toString(Math.round(reps)));
    }
    return new LiftRow(lift.lift().name(), lift.hardSets(), lift.reps() == 0 ? "" : Long.toString(Math.round(lift.reps())),
        lift.tonnes() < 0.05 ? ""
        : number(lift.tonnes(), 1),
        lift.topPercent() == 0 ? "" : Math.round(lift.topPercent()) + " %", lift.days(), zones);
  }

  private static List<MuscleRow> muscles(WeekTotals totals) {
    double most = totals.muscles().values().stream().mapToDouble(Double::doubleValue).max().orElse(1);
    return totals.muscles().entrySet().stream().filter(e -> e.getValue() > 0).sorted(Map.Entry.<Muscle,
        Double>comparingByValue(Comparator.reverseOrder()))
        .map(e -> new MuscleRow(e.getKey().word(), number(e.getValue(), 1), Math.round(100 * e.getValue() / most))).toList();
  }

  private static MethodView method(Progression progression, LifterContext context) {
    return new MethodView(progression.id(), context.lift(progression.lift()).name(), progression.method().shortTitle(),
        progression.method().key());
  }

  private static SilenceView silence(Silence silence) {
    String what = Silence.title(silence.checkKey()).orElse(silence.checkKey());
    String until = silence.ended() == null ? "" : " to " + DAY.format(silence.ended().atOffset(ZoneOffset.UTC));
    return new SilenceView(silence.id(), what, silence.lift(), silence.reason(), DAY.format(silence.since()
        .atOffset(ZoneOffset.UTC)) + until, silence.holds());
  }

  /** The findings of a day; a template asks by its text. */
  public List<FindingView> margin(String date) {
    return margins.getOrDefault(date, List.of());
  }

  /** How long a day takes; null for none. */
  public @Nullable String time(String date) {
    return minutes.get(date);
  }

  private static String hours(int minutes) {
    return minutes >= 60 ? minutes / 60 + "\u00a0h\u00a0" + String.format(Locale.ROOT, "%02d", minutes % 60) : minutes + "\u00a0min";
  }

  private static String number(double value, int decimals) {
    BigDecimal rounded = BigDecimal.valueOf(value).setScale(decimals, RoundingMode.HALF_UP).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0, RoundingMode.UNNECESSARY).toPlainString() : rounded.toPlainString();
  }
}
