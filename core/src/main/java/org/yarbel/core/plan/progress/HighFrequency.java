package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.lifts;
import static org.yarbel.core.plan.progress.Parameter.number;

import java.util.List;
import org.yarbel.core.plan.SlotKind;

/** The lift three to five times a week, a little each time, never near failure, variations by turns. */
final class HighFrequency implements Rule {
  /** Sets, reps and the share of the max in the first of three weeks, one a session of the week. */
  private static final String[] SETS = {"4x4", "4x6", "5x3", "3x5", "3x4"};

  private static final double[] PERCENTS = {70, 62.5, 75, 65, 70};
  private static final double RISE = 2.5;
  private static final int WAVE = 3;
  private static final double MOST = 80;

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
    double percent = Math.min(PERCENTS[at] + RISE * (brief.week(number) % WAVE), MOST);
    String work = SETS[at] + " " + Percents.text(percent) + "% cap @" + Percents.text(Percents.toHalf(brief.settings().number("cap")));
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
