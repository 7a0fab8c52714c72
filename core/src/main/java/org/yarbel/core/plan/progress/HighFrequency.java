package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.lifts;
import static org.yarbel.core.plan.progress.Parameter.number;

import java.util.List;
import org.yarbel.core.plan.SlotKind;

/** The lift three to five times a week, a little each time, never near failure, variations by turns. */
final class HighFrequency implements Rule {
  /** Sets of the week's sessions: so many reps that RPE 7 to 8 lies between 60 and 80 % of the max. */
  private static final String[] SETS = {"4x6", "3x8", "4x6", "3x7", "3x6"};

  private static final double FROM_RPE = 7;
  private static final double RISE = 0.5;
  private static final int WAVE = 3;

  @Override
  public List<Parameter> parameters() {
    return List.of(lifts("variations", "variations by turns"), number("cap", "stop at RPE", "8", 7, 9));
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    int at = brief.ofWeek(number) % SETS.length;
    List<String> variations = brief.variations("variations", usual(brief));
    boolean varied = at % 2 == 1 && !variations.isEmpty();
    String lift = varied ? variations.get((brief.week(number) + at / 2) % variations.size()) : brief.lift().key();
    double cap = Percents.toHalf(brief.settings().number("cap"));
    double rpe = Math.min(FROM_RPE + RISE * (brief.week(number) % WAVE), cap);
    String work = SETS[at] + " @" + Percents.text(rpe) + " cap @" + Percents.text(cap);
    return new Exposure(List.of(new Exposure.Line(SlotKind.MAIN, lift, work, null)), false, false, null, List.of());
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
