package org.yarbel.core.watch;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.WorkKind;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.CountedSet;
import org.yarbel.core.plan.progress.Method;

/** A planned set that the chart takes to failure. */
final class ToFailure implements Check {
  private static final int SHORT_REST = 90;
  private static final int SLOW_SECONDS = 6;
  private static final double MEND_TO = 9;
  private static final double TOLERANCE = 1e-6;

  @Override
  public String key() {
    return "to-failure";
  }

  @Override
  public String title() {
    return "sets at failure by the chart";
  }

  @Override
  public String source() {
    return CHART;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    Set<String> foreseen = new HashSet<>();
    return Check.inParts(week, (line, part) -> look(week, line, part)
        .filter(found -> !line.forecast() || foreseen.add(line.counted().lift().key())));
  }

  private Optional<Finding> look(WatchedWeek week, WatchedLine line, int index) {
    Part part = line.work().parts().get(index);
    boolean strict = slow(part) || part.option(Option.Rest.class).filter(rest -> rest.seconds() < SHORT_REST).isPresent();
    double bound = week.of(strict ? Threshold.FAILURE_RPE_SHORT : Threshold.FAILURE_RPE);
    if (line.counted().lift().variation().partial() || part.work().kind() != WorkKind.SETS && part.work()
        .kind() != WorkKind.EMOM || part.rpe() != null || part.changesLoadOnTheWay() || ofTheGoal(week, line, part)) {
      return Optional.empty();
    }
    CountedLine counted = line.counted();
    return counted.sets().stream().filter(set -> set.set().part() == index + 1 && closed(set.set()) && set.rpe() >= bound - TOLERANCE
        && !set.set().logged()
            && !(set.reps() == 1 && set.percent() <= 100)).findFirst()
        .map(set -> line.forecast() ? foreseen(counted, set)
            : at(byDesign(line) ? Severity.NOTE : Severity.DOUBT, counted, Words.number(set.reps()) + (set.reps() == 1 ? " rep"
                : " reps") + " at " + Words.number(set.percent())
            + " % of the estimate come to RPE " + (set.rpe() > 10.05 ? "10 and beyond" : Words.number(set.rpe())) + " by the chart"
            + (strict ? ", with a slow tempo or short rests." : ".") + (byDesign(line)
                ? " The ladder goes there by design: spotters, safeties." : ""),
            byDesign(line) ? null : mend(line, index, set)));
  }

  private static boolean byDesign(WatchedLine line) {
    return line.method() == Method.LADDER && !line.edited();
  }

  /** What is still a forecast is no plan to mend: it shows where the line is likely to end. */
  private Finding foreseen(CountedLine counted, CountedSet set) {
    return at(Severity.NOTE, counted, "The forecast comes to " + Words.number(set.reps()) + " reps at " + Words.number(set.percent())
        + " % of the max to expect by then, failure by the chart: a stall is likely here.", null);
  }

  /** Shares of a goal take for granted that the max grows on the way by more than is usual: it judges none of the weeks to come. */
  private static boolean ofTheGoal(WatchedWeek week, WatchedLine line, Part part) {
    return line.byMethod() && week.monday().isAfter(week.around().today()) && part.load() instanceof Load.Percent percent
        && percent.basis() == Basis.GOAL;
  }

  private static boolean closed(ResolvedSet set) {
    return set.role() != Role.OPEN && set.role() != Role.WARM && set.role() != Role.PLUS && set.tellsOfMax();
  }

  private static boolean slow(Part part) {
    return part.option(Option.Tempo.class).filter(tempo -> tempo.figures().stream().mapToInt(f -> f == null ? 0 : f).sum() >= SLOW_SECONDS)
        .isPresent();
  }

  private static Finding.@Nullable Mend mend(WatchedLine line, int index, CountedSet set) {
    Part part = line.work().parts().get(index);
    OptionalDouble share = line.counted().chart().fraction(set.reps(), MEND_TO);
    if (!(part.load() instanceof Load.Percent percent) || percent.to() != null || share.isEmpty()) {
      return null;
    }
    double to = percent.from().doubleValue() * 100 * share.getAsDouble() / set.percent();
    Part lighter = new Part(part.work(), Words.share(percent, to), null, part.options());
    return new Finding.Mend(Words.with(line.work(), index, lighter), Words.number(Words.halfBelow(to)
        .doubleValue()) + " % in place of " + percent.from() + " %: one rep in reserve");
  }
}
