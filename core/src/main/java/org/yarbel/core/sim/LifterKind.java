package org.yarbel.core.sim;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.random.RandomGenerator;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/**
 * A kind of made-up lifters whom an estimator may get wrong: a way of growing, of having good and bad days, of rating, of losing
 * reps, of training. All figures are invented.
 *
 * @param tested whether a tested number is known at the start
 * @param layoff whether five weeks of the half year are missed
 */
public record LifterKind(String name, Level level, TrainingStyle style, boolean tested, boolean layoff,
    BiFunction<Traits, RandomGenerator, Traits> differs) {
  private static final double EVEN = 0.012;
  private static final double UNEVEN = 0.027;
  private static final double GOOD_RATER = 0.35;
  private static final double POOR_RATER = 0.8;
  private static final double GAINS_DIFFER = 0.4;
  private static final double RATINGS_DIFFER = 0.3;
  private static final double REPS_DIFFER = 0.08;

  /** One lifter of the kind: no two gain, rate and lose reps alike. */
  public Traits one(RandomGenerator random) {
    Mass max = Mass.of(Integer.toString(random.nextInt(100, 250)), MassUnit.KG);
    double gain = usualGain(level) * (1 + GAINS_DIFFER * random.nextGaussian());
    Traits usual = Traits.steady(max, gain, EVEN, RATINGS_DIFFER * random.nextGaussian(), GOOD_RATER)
        .with(new Traits.Reps(RepMaxCurve.HOUSE, Math.exp(REPS_DIFFER * random.nextGaussian()), 0));
    return differs.apply(usual, random);
  }

  private static double usualGain(Level level) {
    return switch (level) {
      case BEGINNER -> 0.0013;
      case INTERMEDIATE -> 0.0004;
      case ADVANCED -> 0.00015;
    };
  }

  /** All kinds at all levels, those of a level in one order. */
  public static List<LifterKind> all() {
    List<LifterKind> all = new ArrayList<>();
    for (Level level : Level.values()) {
      all.addAll(ofLevel(level));
    }
    return List.copyOf(all);
  }

  private static List<LifterKind> ofLevel(Level level) {
    double gain = usualGain(level);
    return List.of(
        kind("steady", level, (usual, random) -> usual),
        kind("uneven days, poor raters", level, (usual, random) -> usual.with(Traits.Form.of(UNEVEN, 0, false))
            .with(new Traits.Ratings(0, POOR_RATER, 0))),
        kind("bad days hang together", level, (usual, random) -> usual.with(Traits.Form.of(0.02, 6, false))),
        kind("now and then a very bad day", level, (usual, random) -> usual.with(Traits.Form.of(0.02, 0, true))),
        kind("half a rep too many claimed", level, (usual, random) -> usual.with(new Traits.Ratings(0.5, GOOD_RATER, 0))),
        kind("one too few claimed", level, (usual, random) -> usual.with(new Traits.Ratings(-1, GOOD_RATER, 0))),
        kind("ratings drift", level, (usual, random) -> usual.with(new Traits.Ratings(0, 0.5, 0.7))),
        kind("reps fall fast", level, (usual, random) -> usual.with(new Traits.Reps(RepMaxCurve.HOUSE, 1.25, 0))),
        kind("reps fall slowly", level, (usual, random) -> usual.with(new Traits.Reps(RepMaxCurve.HOUSE, 0.8, 0))),
        kind("a curve of another shape", level, (usual, random) -> usual.with(new Traits.Reps(RepMaxCurve.BRZYCKI, 1, 0))),
        kind("singles off the curve", level, (usual, random) -> usual.with(new Traits.Reps(RepMaxCurve.HOUSE, 1,
            0.025 * (random.nextBoolean() ? 1 : -1)))),
        kind("stand still after ten weeks", level, (usual, random) -> usual.with(new Traits.Growth(gain, 70, 0, 0))),
        kind("do not gain", level, (usual, random) -> usual.with(new Traits.Growth(0, 0, 0, 0))),
        kind("jump by 4 %", level, (usual, random) -> usual.with(new Traits.Growth(gain, Integer.MAX_VALUE, 0.04, 80))),
        kind("five weeks away", level, (usual, random) -> usual).away(),
        kind("never tested", level, (usual, random) -> usual).untested(),
        kind("only the top set rated", level, (usual, random) -> usual).training(TrainingStyle.ONLY_TOP_RATED),
        kind("nothing rated", level, (usual, random) -> usual).training(TrainingStyle.UNRATED),
        kind("plus sets", level, (usual, random) -> usual).training(TrainingStyle.PLUS_SETS),
        kind("easy fives", level, (usual, random) -> usual).training(TrainingStyle.EASY_FIVES),
        kind("singles only", level, (usual, random) -> usual).training(TrainingStyle.SINGLES));
  }

  private static LifterKind kind(String name, Level level, BiFunction<Traits, RandomGenerator, Traits> differs) {
    return new LifterKind(name, level, TrainingStyle.TOP_AND_BACK_OFFS, true, false, differs);
  }

  private LifterKind training(TrainingStyle other) {
    return new LifterKind(name, level, other, tested, layoff, differs);
  }

  private LifterKind away() {
    return new LifterKind(name, level, style, tested, true, differs);
  }

  private LifterKind untested() {
    return new LifterKind(name, level, style, false, layoff, differs);
  }
}
