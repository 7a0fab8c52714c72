package org.yarbel.core.plan.progress;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.Work;
import org.yarbel.core.plan.SlotKind;

/** A heavy day on a variation that changes, and a speed day on the lift itself. */
final class Rotation implements Rule {
  private static final int REST = 45;
  private static final Parameter.Lifts VARIATIONS = new Parameter.Lifts("variations", "variations, in turn");
  private static final Parameter.Count HOLD = Parameter.Count.of("hold", "weeks before the variation changes", 2, 1, 3);
  private static final Parameter.Numbers SPEED = new Parameter.Numbers("speed", "speed work, % week by week", "50,55,60", 40, 70);

  @Override
  public List<Parameter> parameters() {
    return List.of(VARIATIONS, HOLD, SPEED);
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
      List<Double> speed = brief.settings().get(SPEED);
      boolean press = brief.lift().movement() == Movement.BENCH || brief.lift().movement() == Movement.PRESS;
      PartOf sets = press ? PartOf.sets(9, 3) : PartOf.sets(10, 2);
      return Exposure.of(brief, sets.percent(speed.get(week % speed.size())).with(new Option.Rest(REST)));
    }
    List<String> variations = brief.variations(VARIATIONS, usual(brief));
    String lift = variations.get(week / brief.settings().get(HOLD) % variations.size());
    Optional<Mass> best = done.stream().filter(exposure -> exposure.lift().equals(lift)).map(Done::heaviestMade).flatMap(Optional::stream)
        .max(Comparator.naturalOrder());
    return new Exposure(List.of(Exposure.Line.of(SlotKind.MAIN, lift, PartOf.of(new Work.Max(1)), PartOf.open(1).ofTop(80),
        PartOf.sets(4, 3).ofTop(80))), ahead > 0, false, null,
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
