package org.yarbel.core.call;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Reps;
import org.yarbel.core.notation.RpeTarget;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkKind;
import org.yarbel.core.notation.WorkLine;

/** Lines said otherwise: lighter or heavier by a share, capped, with fewer reps. What hangs on a top set follows by itself. */
final class LineEdit {
  private static final BigDecimal TWO = BigDecimal.valueOf(2);
  private static final BigDecimal LEAST = new BigDecimal("0.5");
  private static final BigDecimal MOST = BigDecimal.valueOf(150);
  private static final double LEAST_RPE = 6;

  private LineEdit() {}

  static WorkLine read(String work) {
    return WorkLine.parse(work).line();
  }

  /**
   * A line with its loads times a factor. Shares go to the half per cent, masses to what the unit's steps make. Parts that hang on
   * others stay; parts of an RPE alone stay, for they follow the estimate, but where they are to be eased they become shares of it.
   *
   * @param chart for loads that an RPE says; null to let those be
   */
  static WorkLine scaled(WorkLine line, double factor, @Nullable EffortChart chart) {
    return each(line, part -> scaled(part, factor, chart));
  }

  private static Part scaled(Part part, double factor, @Nullable EffortChart chart) {
    Load load = part.load();
    if (load instanceof Load.Percent percent) {
      BigDecimal to = percent.to() == null ? null : share(percent.to(), factor);
      BigDecimal from = share(percent.from(), factor);
      return with(part, new Load.Percent(from, to != null && to.compareTo(from) <= 0 ? null : to, percent.basis(), percent.lift()));
    }
    if (load instanceof Load.OfMass mass) {
      return with(part, new Load.OfMass(mass(mass.mass(), factor)));
    }
    if (load == null && part.rpe() != null && chart != null && part.work().kind() == WorkKind.SETS) {
      double reps = ((Work.SetsOfReps) part.work()).reps().middle().orElse(1);
      OptionalDouble share = chart.fraction(reps, part.rpe().middle());
      return share.isEmpty() ? part : with(part, new Load.Percent(share(BigDecimal.valueOf(100 * share.getAsDouble()), factor), null,
          Basis.ESTIMATED, null));
    }
    return part;
  }

  private static Part with(Part part, Load load) {
    return new Part(part.work(), load, part.rpe(), part.options());
  }

  /** A share times a factor, to the half per cent: the one below where it falls; where it grows half a per cent at the least. */
  private static BigDecimal share(BigDecimal percent, double factor) {
    BigDecimal halves = percent.multiply(BigDecimal.valueOf(factor)).multiply(TWO)
        .setScale(0, factor < 1 ? RoundingMode.FLOOR : RoundingMode.HALF_UP);
    if (factor > 1 && halves.compareTo(percent.multiply(TWO)) <= 0) {
      halves = halves.add(BigDecimal.ONE);
    }
    BigDecimal to = halves.divide(TWO).max(LEAST).min(MOST).stripTrailingZeros();
    return to.scale() < 0 ? to.setScale(0, RoundingMode.UNNECESSARY) : to;
  }

  private static Mass mass(Mass mass, double factor) {
    BigDecimal step = mass.unit().usualStep();
    BigDecimal steps = mass.amountIn(mass.unit(), 3).multiply(BigDecimal.valueOf(factor)).divide(step, 0, RoundingMode.HALF_UP);
    return Mass.of(steps.max(BigDecimal.ONE).multiply(step), mass.unit());
  }

  /** A line whose parts of an RPE alone are written as the shares of the estimate they come to. */
  static WorkLine shares(WorkLine line, EffortChart chart) {
    return each(line, part -> part.load() == null && part.rpe() != null ? scaled(part, 1, chart) : part);
  }

  /** A line whose first loaded part is of a mass. */
  static WorkLine ofMass(WorkLine line, Mass load) {
    List<Part> parts = new ArrayList<>(line.parts());
    for (int i = 0; i < parts.size(); i++) {
      if (parts.get(i).work().kind() != WorkKind.WARM) {
        parts.set(i, with(parts.get(i), new Load.OfMass(load)));
        return new WorkLine(parts);
      }
    }
    return line;
  }

  /** A line whose first part stops at an RPE, and whose target is no harder than that. */
  static WorkLine capped(WorkLine line, double rpe) {
    List<Part> parts = new ArrayList<>();
    for (Part part : line.parts()) {
      parts.add(part.work().kind() == WorkKind.WARM ? part : capped(part, Rpe.of(rpe)));
    }
    return new WorkLine(parts);
  }

  private static Part capped(Part part, Rpe cap) {
    RpeTarget target = part.rpe();
    RpeTarget easier = target == null || target.middle() <= cap.value() ? target : new RpeTarget(cap, null);
    List<Option> options = new ArrayList<>(part.options());
    boolean can = part.work().kind() == WorkKind.SETS && part.work() instanceof Work.SetsOfReps && (part.load() != null || easier == null);
    if (can && options.stream().noneMatch(option -> option instanceof Option.Cap || option instanceof Option.Until)) {
      options.add(new Option.Cap(cap));
    }
    return new Part(part.work(), part.load(), easier, options);
  }

  /** Whether any of its sets goes as far as it goes. */
  static boolean open(WorkLine line) {
    return line.parts().stream().anyMatch(part -> part.work() instanceof Work.SetsOfReps sets && sets.open());
  }

  /** A line with the target of its parts eased by so much, never under 6. */
  static WorkLine eased(WorkLine line, double points) {
    return each(line, part -> part.rpe() == null ? part : new Part(part.work(), part.load(),
        new RpeTarget(Rpe.of(Math.max(LEAST_RPE, Math.rint(2 * (part.rpe().middle() - points)) / 2)), null), part.options()));
  }

  /** A line whose sets ask for no more reps than so many. */
  static WorkLine atMostReps(WorkLine line, int reps) {
    return each(line, part -> {
      if (part.work() instanceof Work.SetsOfReps sets && sets.reps().least() != null && sets.reps().least() > reps) {
        Reps fewer = sets.reps() instanceof Reps.AtLeast ? new Reps.AtLeast(reps) : new Reps.Exactly(reps);
        return new Part(new Work.SetsOfReps(sets.sets(), fewer), part.load(), part.rpe(), part.options());
      }
      return part;
    });
  }

  /** A line with half the sets of its parts of several sets. */
  static WorkLine fewerSets(WorkLine line) {
    return each(line, part -> part.work() instanceof Work.SetsOfReps sets && sets.sets() > 2
        ? new Part(new Work.SetsOfReps((sets.sets() + 1) / 2, sets.reps()), part.load(), part.rpe(), part.options()) : part);
  }

  /** A line with parts of another before it. */
  static Optional<WorkLine> behind(WorkLine first, WorkLine line) {
    List<Part> parts = new ArrayList<>(first.parts());
    parts.addAll(line.parts());
    return parts.size() > WorkLine.MAX_PARTS ? Optional.empty() : Optional.of(new WorkLine(parts));
  }

  private static WorkLine each(WorkLine line, UnaryOperator<Part> edit) {
    return new WorkLine(line.parts().stream().map(part -> part.work().kind() == WorkKind.WARM ? part : edit.apply(part)).toList());
  }
}
