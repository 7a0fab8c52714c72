package org.yarbel.core.watch;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.CountedSet;

/** A line whose percentage and RPE do not go together. */
final class PercentAgainstRpe implements Check {
  @Override
  public String key() {
    return "percent-against-rpe";
  }

  @Override
  public String title() {
    return "% and RPE that disagree";
  }

  @Override
  public String source() {
    return CHART;
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    return Check.inParts(week, (line, index) -> {
      Part part = line.work().parts().get(index);
      return part.rpe() != null && part.load() instanceof Load.Percent percent && !part.changesLoadOnTheWay()
          ? look(week, line, index, part, percent) : Optional.empty();
    });
  }

  private Optional<Finding> look(WatchedWeek week, WatchedLine line, int index, Part part, Load.Percent percent) {
    CountedLine counted = line.counted();
    double target = Objects.requireNonNull(part.rpe()).middle();
    Optional<CountedSet> first = counted.sets().stream()
        .filter(set -> set.set().part() == index + 1 && !Double.isNaN(set.percent()) && set.set().tellsOfMax()
            && !set.set().logged()).findFirst();
    OptionalDouble reps = first.map(set -> counted.chart().curve().repsAt(Math.min(set.percent() / 100, 1))).orElse(OptionalDouble.empty());
    if (reps.isEmpty()) {
      return Optional.empty();
    }
    CountedSet set = first.get();
    double most = 1 + (reps.getAsDouble() - 1) / counted.chart().stretch();
    double predicted = 10 - (most - set.reps());
    if (Math.abs(predicted - target) <= week.of(Threshold.DISAGREE)) {
      return Optional.empty();
    }
    OptionalDouble share = counted.chart().fraction(set.reps(), target);
    Finding.Mend mend = null;
    if (share.isPresent() && percent.to() == null) {
      double to = percent.from().doubleValue() * 100 * share.getAsDouble() / set.percent();
      mend = new Finding.Mend(Words.with(line.work(), index, new Part(part.work(), Words.share(percent, to), part.rpe(), part.options())),
          Words.number(Words.halfBelow(to).doubleValue()) + " % in place of " + percent.from() + " %, which goes with RPE "
          + Words.number(target));
    }
    return Optional.of(at(Severity.DOUBT, counted, Words.number(set.percent()) + " % for " + Words.number(set.reps()) + " is about RPE "
        + predicted(predicted) + ", but RPE " + Words.number(target) + " is written.", mend));
  }

  private static String predicted(double rpe) {
    if (rpe > 10) {
      return "10 and beyond";
    }
    return rpe < 5 ? "under 5" : Words.number(rpe);
  }
}
