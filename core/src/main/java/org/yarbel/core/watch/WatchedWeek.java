package org.yarbel.core.watch;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.Zone;
import org.yarbel.core.plan.progress.Method;

/**
 * A written week of one lifter, with what the checks need to know beside it. What several checks ask of it is worked out
 * once: its sums, its days, and which families are trained hard on them.
 */
public final class WatchedWeek {
  /** So many weeks are looked back for a deload. */
  public static final int LOOKED_BACK = 20;

  private static final double HARD_SHARE_OF_ZONE = 0.7;

  private final LocalDate monday;
  private final Athlete athlete;
  private final List<WatchedLine> lines;
  private final List<WeekTotals> past;
  private final Map<String, LocalDate> lastTrained;
  private final int weeksSinceDeload;
  private final @Nullable Deload deload;
  private final boolean peaking;
  private final Figures thresholds;
  private final WeekTotals totals;
  private final Map<LocalDate, List<WatchedLine>> days = new TreeMap<>();
  private final Map<LocalDate, Set<String>> hard = new TreeMap<>();
  private final WeekTotals volume;
  private final Around around;

  /**
   * A week.
   *
   * @param lines in the order of days and sessions
   * @param past the last three weeks that were no deload, the newest last; fewer when there are fewer
   * @param lastTrained the last day before this week on which a family was trained, by key
   * @param weeksSinceDeload whole weeks with training behind the last deload, {@link #LOOKED_BACK} at most; 0 when the week
   *     before was one
   * @param deload what kind of easy week it is; null for none
   * @param peaking whether it belongs to a strength or peak block
   * @param around what stands around it
   */
  public WatchedWeek(LocalDate monday, Athlete athlete, List<WatchedLine> lines, List<WeekTotals> past, Map<String, LocalDate> lastTrained,
      int weeksSinceDeload, @Nullable Deload deload, boolean peaking, Figures thresholds, Around around) {
    this.monday = monday;
    this.athlete = athlete;
    this.lines = List.copyOf(lines);
    this.past = List.copyOf(past);
    this.lastTrained = Map.copyOf(lastTrained);
    this.weeksSinceDeload = weeksSinceDeload;
    this.deload = deload;
    this.peaking = peaking;
    this.thresholds = thresholds;
    this.around = around;
    this.totals = WeekTotals.of(lines.stream().map(WatchedLine::counted).toList());
    this.volume = WeekTotals.of(lines.stream().map(WatchedLine::asked).toList());
    lines.forEach(line -> days.computeIfAbsent(line.counted().day(), day -> new ArrayList<>()).add(line));
    Map<LocalDate, List<CountedLine>> before = around.before().stream().filter(line -> line.day().isBefore(monday))
        .collect(Collectors.groupingBy(CountedLine::day));
    before.forEach((day, of) -> hard.put(day, hardLifts(of)));
    days.forEach((day, of) -> hard.put(day, hardLifts(of.stream().filter(line -> !practice(line)).map(WatchedLine::counted).toList())));
  }

  /** Frequent practice is written so that no day of it is hard, however many reps it has. */
  private static boolean practice(WatchedLine line) {
    return line.method() == Method.HIGH_FREQUENCY && line.byMethod() && !line.counted().hard();
  }

  /** The same with lines on another day. */
  public WatchedWeek moved(Collection<Long> ids, LocalDate to) {
    List<WatchedLine> others = lines.stream().map(line -> ids.contains(line.counted().id()) ? line.on(to) : line)
        .sorted(Comparator.comparing(line -> line.counted().day())).toList();
    return new WatchedWeek(monday, athlete, others, past, lastTrained, weeksSinceDeload, deload, peaking, thresholds, around);
  }

  Around around() {
    return around;
  }

  /** Whether it is the week of today: only that is judged by what is measured today. */
  boolean current() {
    return !around.today().isBefore(monday) && around.today().isBefore(monday.plusWeeks(1));
  }

  /** Days from its Monday to the next day that something is aimed at; empty where nothing is. */
  OptionalLong daysToContest() {
    return athlete.goals().values().stream().map(Athlete.Goal::on).filter(on -> on != null && !on.isBefore(monday))
        .mapToLong(on -> ChronoUnit.DAYS.between(monday, on)).min();
  }

  /** Whether all that a family does in it stands as methods write it. */
  boolean byMethod(String family) {
    return lines.stream().filter(line -> line.counted().head().key().equals(family) && line.counted().kind().counts())
        .allMatch(WatchedLine::byMethod);
  }

  /** The Monday it begins on. */
  public LocalDate monday() {
    return monday;
  }

  /** Whose week it is. */
  public Athlete athlete() {
    return athlete;
  }

  /** In the order of days and sessions. */
  public List<WatchedLine> lines() {
    return lines;
  }

  List<WeekTotals> past() {
    return past;
  }

  Map<String, LocalDate> lastTrained() {
    return lastTrained;
  }

  int weeksSinceDeload() {
    return weeksSinceDeload;
  }

  /** What kind of easy week it is; null for none. */
  public @Nullable Deload deload() {
    return deload;
  }

  /** Whether it belongs to a strength or peak block. */
  public boolean peaking() {
    return peaking;
  }

  double of(Threshold threshold) {
    return thresholds.of(threshold);
  }

  /** The lines of each day that has any. */
  public Map<LocalDate, List<WatchedLine>> byDay() {
    return Collections.unmodifiableMap(days);
  }

  /** What it comes to as it was written, whatever was done of it: by this volume is compared. */
  WeekTotals volume() {
    return volume;
  }

  /** What the week comes to. */
  public WeekTotals totals() {
    return totals;
  }

  /** The families that are trained hard on a day: any hard line, or reps near what a zone bears. */
  Set<String> hardLifts(LocalDate day) {
    return hard.getOrDefault(day, Set.of());
  }

  /** The days of the week on which anything of a squat, press or pull is trained hard. */
  List<LocalDate> hardDays() {
    return hardDaysThrough().stream().filter(day -> !day.isBefore(monday)).toList();
  }

  /** The same with those of the days before. */
  List<LocalDate> hardDaysThrough() {
    return hard.entrySet().stream().filter(day -> !day.getValue().isEmpty()).map(Map.Entry::getKey).toList();
  }

  private static Set<String> hardLifts(List<CountedLine> day) {
    Map<String, List<CountedLine>> families = new TreeMap<>();
    day.stream().filter(line -> line.kind().counts())
        .forEach(line -> families.computeIfAbsent(line.head().key(), key -> new ArrayList<>()).add(line));
    Set<String> hard = new LinkedHashSet<>();
    families.forEach((key, of) -> {
      if (of.stream().anyMatch(line -> line.kind().mainWork() && line.hard()) || nearLimit(of)) {
        hard.add(key);
      }
    });
    return hard;
  }

  private static boolean nearLimit(List<CountedLine> family) {
    List<CountedLine> main = family.stream().filter(line -> line.kind().mainWork() && line.work().stream().allMatch(set -> set.set()
        .tellsOfMax())).toList();
    Map<Zone, Double> zones = WeekTotals.zones(main);
    return zones.entrySet().stream().anyMatch(zone -> zone.getKey() != Zone.UNDER_70
        && zone.getValue() >= HARD_SHARE_OF_ZONE * zone.getKey().most());
  }
}
