package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.lifts;
import static org.yarbel.core.plan.progress.Parameter.numbers;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.SlotKind;

/** A heavy day on a variation that changes, and a speed day on the lift itself. */
final class Rotation implements Rule {
  @Override
  public List<Parameter> parameters() {
    return List.of(lifts("variations", "variations, in turn"), count("hold", "weeks before the variation changes", 2, 1, 3),
        numbers("speed", "speed work, % week by week", "50,55,60", 40, 70));
  }

  @Override
  public boolean memory() {
    return true;
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    int week = brief.week(number);
    if (brief.ofWeek(number) % 2 == 1) {
      List<Double> speed = brief.settings().numbers("speed");
      String sets = brief.lift().movement() == Movement.BENCH || brief.lift().movement() == Movement.PRESS ? "9x3 " : "10x2 ";
      return Exposure.of(brief, sets + Percents.text(speed.get(week % speed.size())) + "% rest 45s");
    }
    List<String> variations = brief.variations("variations", usual(brief));
    String lift = variations.get(week / brief.settings().count("hold") % variations.size());
    Optional<Mass> best = done.stream().filter(exposure -> exposure.lift().equals(lift)).map(Done::heaviestMade).flatMap(Optional::stream)
        .max(Comparator.naturalOrder());
    return new Exposure(List.of(new Exposure.Line(SlotKind.MAIN, lift, "max 1; 1xAMRAP 80% top; 4x3 80% top", null)), ahead > 0, false, null,
        best.map(mass -> List.of("The mark to beat in this variation: " + mass.text() + ".")).orElse(List.of()));
  }

  private static List<String> usual(Brief brief) {
    return switch (brief.lift().movement()) {
      case SQUAT -> List.of("box-squat", "safety-bar-squat", "front-squat");
      case BENCH -> List.of("floor-press", "close-grip-bench", "pin-press");
      case DEADLIFT -> List.of("deficit-deadlift", "block-pull", "pin-pull-below-knee");
      case PRESS -> List.of("push-press", "seated-press", "log-press");
      case OTHER -> List.of(brief.lift().key());
    };
  }
}
