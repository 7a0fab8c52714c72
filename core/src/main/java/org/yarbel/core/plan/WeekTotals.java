package org.yarbel.core.plan;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.lift.Muscle;

/**
 * What a week comes to.
 *
 * @param lifts by family, in the order they come up
 * @param muscles hard sets; hard squat and deadlift sets weigh 1.5
 * @param mainReps reps of main lifts and their close variants
 * @param assistanceReps all other reps that count
 */
public record WeekTotals(List<OfLift> lifts, Map<Muscle, Double> muscles, double mainReps, double assistanceReps) {
  private static final double HEAVY_SETS = 1.5;

  /**
   * What a lift with its variations comes to.
   *
   * @param tonnes load times reps, in tonnes of 1000 kg
   * @param zones reps in each zone of intensity, main work and close variants
   * @param days how many days it is trained on
   */
  public record OfLift(Lift lift, long hardSets, double reps, double tonnes, Map<Zone, Double> zones, int days, double topPercent,
      double load) {}

  /** Sums up the lines of a week. */
  public static WeekTotals of(List<CountedLine> lines) {
    Map<String, List<CountedLine>> families = new LinkedHashMap<>();
    Map<Muscle, Double> muscles = new EnumMap<>(Muscle.class);
    double main = 0;
    double assistance = 0;
    for (CountedLine line : lines) {
      if (!line.kind().counts()) {
        continue;
      }
      families.computeIfAbsent(line.head().key(), key -> new ArrayList<>()).add(line);
      boolean heavy = line.kind().mainWork() && (line.lift().movement() == Movement.SQUAT || line.lift().movement() == Movement.DEADLIFT);
      double sets = line.hardSets() * (heavy ? HEAVY_SETS : 1);
      line.lift().muscles().forEach(muscle -> muscles.merge(muscle, sets, Double::sum));
      boolean ofMain = line.kind().mainWork() && line.mainOrClose();
      main += ofMain ? line.reps() : 0;
      assistance += ofMain ? 0 : line.reps();
    }
    return new WeekTotals(families.values().stream().map(WeekTotals::family).toList(), muscles, main, assistance);
  }

  private static OfLift family(List<CountedLine> lines) {
    return new OfLift(lines.get(0).head(), lines.stream().mapToLong(CountedLine::hardSets).sum(),
        lines.stream().mapToDouble(CountedLine::reps).sum(),
        lines.stream().mapToDouble(CountedLine::tonnes).sum(), zones(lines), (int) lines.stream().map(CountedLine::day).distinct().count(),
        lines.stream().mapToDouble(CountedLine::topPercent).max().orElse(0), lines.stream().mapToDouble(CountedLine::sessionLoad).sum());
  }

  /** Reps in each zone; those of unknown share in none. */
  public static Map<Zone, Double> zones(List<CountedLine> lines) {
    Map<Zone, Double> zones = new EnumMap<>(Zone.class);
    lines.forEach(line -> line.work().stream().filter(set -> !Double.isNaN(set.percent()) && set.set().distance() == null)
        .forEach(set -> zones.merge(Zone.of(set.percent()), set.reps(), Double::sum)));
    return zones;
  }

  /** The share of main lifts and close variants in all reps, in percent; 100 when there are none at all. */
  public double mainShare() {
    double all = mainReps + assistanceReps;
    return all == 0 ? 100 : 100 * mainReps / all;
  }

  /** Hard sets of the whole week. */
  public long hardSets() {
    return lifts.stream().mapToLong(OfLift::hardSets).sum();
  }

  /** Tonnes of the whole week. */
  public double tonnes() {
    return lifts.stream().mapToDouble(OfLift::tonnes).sum();
  }
}
