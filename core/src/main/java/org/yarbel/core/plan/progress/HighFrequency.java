package org.yarbel.core.plan.progress;

import java.util.List;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.plan.SlotKind;

/** The lift three to five times a week, a little each time, never near failure, variations by turns. */
final class HighFrequency implements Rule {
  private static final Parameter.Lifts VARIATIONS = new Parameter.Lifts("variations", "variations by turns");
  private static final Parameter.Number CAP = new Parameter.Number("cap", "stop at RPE", "8", 7, 9);

  /** Sets of the week's sessions: so many reps that RPE 7 to 8 lies between 60 and 80 % of the max. */
  private static final int[][] SETS = {{4, 6}, {3, 8}, {4, 6}, {3, 7}, {3, 6}};

  private static final double FROM_RPE = 7;
  private static final double RISE = 0.5;
  private static final int WAVE = 3;

  @Override
  public List<Parameter> parameters() {
    return List.of(VARIATIONS, CAP);
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    int at = brief.ofWeek(number) % SETS.length;
    List<String> variations = brief.variations(VARIATIONS, usual(brief));
    boolean varied = at % 2 == 1 && !variations.isEmpty();
    String lift = varied ? variations.get((brief.week(number) + at / 2) % variations.size()) : brief.lift().key();
    double cap = Percents.toHalf(brief.settings().get(CAP));
    double rpe = Math.min(FROM_RPE + RISE * (brief.week(number) % WAVE), cap);
    PartOf work = PartOf.sets(SETS[at][0], SETS[at][1]).rpe(rpe).with(new Option.Cap(Rpe.of(cap)));
    return new Exposure(List.of(Exposure.Line.of(SlotKind.MAIN, lift, work)), false, false, null, List.of());
  }

  private static List<String> usual(Brief brief) {
    return switch (brief.lift().movement()) {
      case SQUAT -> List.of("paused-squat", "front-squat", "high-bar-squat");
      case BENCH -> List.of("close-grip-bench", "long-pause-bench", "feet-up-bench");
      case DEADLIFT -> List.of("paused-deadlift", "stiff-legged-deadlift");
      default -> List.of();
    };
  }
}
