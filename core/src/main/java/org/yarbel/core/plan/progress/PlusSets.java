package org.yarbel.core.plan.progress;

import java.util.List;
import java.util.Optional;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;

/** Three weeks of plus sets at rising shares of a training max, an easy week, and a new training max from the reps. */
final class PlusSets implements Rule {
  private static final Parameter.Numbers PERCENTS = new Parameter.Numbers("percents", "% of the training max, week by week",
      "80,85,90", 50, 110);
  private static final Parameter.Count SETS = Parameter.Count.of("sets", "sets", 3, 1, 6);
  private static final Parameter.Loads TRAINING = new Parameter.Loads("training", "training max at the start");

  private static final int[] REPS = {5, 4, 3};
  private static final int WAVE = REPS.length + 1;
  private static final int MANY = 5;

  @Override
  public List<Parameter> parameters() {
    return List.of(PERCENTS, SETS, TRAINING, Parameter.Loads.STEP);
  }

  @Override
  public boolean memory() {
    return true;
  }

  @Override
  public boolean easy(Settings settings, int week) {
    return week % WAVE == REPS.length;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    MaxNumbers numbers = brief.numbers();
    Optional<Mass> first = brief.settings().get(TRAINING, brief.unit()).or(() -> Optional.ofNullable(numbers.training()))
        .or(() -> brief.max().map(MaxNumbers::trainingFrom));
    if (first.isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    int wave = brief.week(number) / WAVE;
    int week = brief.week(number) % WAVE;
    Standing standing = standing(brief, done, first.get(), wave, number - ahead);
    List<Double> percents = brief.settings().get(PERCENTS);
    int sets = brief.settings().get(SETS);
    WorkLine opening = line(sets, percents, 0);
    WorkLine work = week < REPS.length ? line(sets, percents, week) : Deload.HALF_LOAD.applied(opening, brief.chart()).orElse(opening);
    return new Exposure(List.of(Exposure.main(brief, work)), ahead > 0, easy(brief.settings(), week), standing.training(),
        List.of("Training max " + Percents.text(standing.training().amountIn(brief.unit(), 1)
            .doubleValue()) + " " + brief.unit() + ". " + standing.why()));
  }

  private static WorkLine line(int sets, List<Double> percents, int week) {
    double percent = week < percents.size() ? percents.get(week) : percents.get(percents.size() - 1);
    return PartOf.plus(sets, REPS[week]).percent(percent, Basis.TRAINING).line();
  }

  private record Standing(Mass training, String why) {}

  /** The training max of a wave: as the waves before it left it, the coming ones taken as made. */
  private static Standing standing(Brief brief, List<Done> done, Mass first, int wave, int next) {
    Mass training = capped(brief, first);
    String why = "It is the lifter's own.";
    int misses = 0;
    for (int w = 0; w < wave; w++) {
      int of = w;
      List<Done> exposures = done.stream().filter(e -> brief.week(e.number()) / WAVE == of
          && brief.week(e.number()) % WAVE < REPS.length).toList();
      boolean over = (w + 1) * WAVE * brief.perWeek() <= next || brief.week(next) % WAVE == REPS.length && brief.week(next) / WAVE == w;
      if (!over) {
        training = capped(brief, raised(brief, training, 1));
        why = "Forecast: one step after each wave.";
        continue;
      }
      if (exposures.isEmpty()) {
        why = "Nothing was logged of the wave before: it stays.";
        continue;
      }
      List<Done> counting = Done.counting(exposures);
      long missed = counting.stream().filter(e -> !e.minimumMade()).count();
      if (missed == 0 && counting.size() < exposures.size()) {
        why = "Something was off, or one was ended early: it stays.";
        continue;
      }
      misses = missed == 0 ? 0 : misses + (int) missed;
      if (misses >= 2) {
        training = brief.max().map(MaxNumbers::trainingFrom).orElse(training);
        why = "The minimum was missed twice: back to 90 % of the estimate.";
        misses = 0;
      } else if (misses == 1) {
        why = "The minimum was missed once: it stays.";
      } else {
        int more = over(exposures.get(exposures.size() - 1));
        int steps = more >= MANY ? 2 : 1;
        training = capped(brief, raised(brief, training, steps));
        why = "The last plus set had " + more + " over the minimum: " + (steps == 2 ? "two steps." : "one step.");
      }
    }
    return new Standing(training, why);
  }

  private static int over(Done exposure) {
    Integer asked = exposure.last().asked();
    return asked == null ? 0 : exposure.last().reps() - asked;
  }

  private static Mass raised(Brief brief, Mass training, int steps) {
    return training.plus(brief.step().times(brief.lowerBody() ? 2 * steps : steps));
  }

  /** Never over its share of the estimate. */
  private static Mass capped(Brief brief, Mass training) {
    Mass estimate = brief.numbers().estimated();
    Mass most = estimate == null ? null : estimate.scaled(MaxNumbers.MOST_TRAINING_SHARE);
    return most != null && training.compareTo(most) > 0 ? most : training;
  }
}
