package org.yarbel.core.plan.progress;

import static org.yarbel.core.plan.progress.Parameter.count;
import static org.yarbel.core.plan.progress.Parameter.lifts;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.plan.SlotKind;

/** Volume, then strength, then a peak, each a block of rising shares; a taper, the contest and a week off. */
final class Blocks implements Rule {
  @Override
  public List<Parameter> parameters() {
    return List.of(count("volume", "weeks of 4x8 at 65–75 %", 4, 1, 8), count("strength", "weeks of 5x4 at 75–85 %", 4, 1, 8),
        count("peak", "weeks of 3x2 at 85–95 %", 3, 1, 6), lifts("variation", "variation in the first block"));
  }

  @Override
  public boolean peaking(Settings settings, int week) {
    return week >= settings.count("volume");
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    int volume = brief.settings().count("volume");
    int strength = brief.settings().count("strength");
    int peak = brief.settings().count("peak");
    int week = brief.week(number);
    int ofWeek = brief.ofWeek(number);
    if (week < volume) {
      return volume(brief, "4x8 " + Percents.text(Percents.between(65, 75, week, volume)) + "%");
    }
    week -= volume;
    if (week < strength) {
      return ofWeek < 2 ? Exposure.of(brief, "5x4 " + Percents.text(Percents.between(75, 85, week, strength)) + "%") : fewer();
    }
    week -= strength;
    if (week < peak) {
      return ofWeek < 1 ? Exposure.of(brief, "3x2 " + Percents.text(Percents.between(85, 95, week, peak)) + "%") : fewer();
    }
    return switch (week - peak) {
      case 0 -> ofWeek < 1 ? Exposure.of(brief, "1x1 90%; 2x2 80%").saying("Taper: half the volume, the intensity stays.") : fewer();
      case 1 -> Exposure.none("The week of the contest: the platform is the session.");
      case 2 -> Exposure.none("A week off.");
      default -> Exposure.none("The blocks are over: start again from new numbers.");
    };
  }

  private static Exposure volume(Brief brief, String work) {
    List<Exposure.Line> lines = new ArrayList<>();
    lines.add(Exposure.main(brief, work));
    brief.variations("variation", usual(brief)).forEach(lift -> lines.add(new Exposure.Line(SlotKind.SECOND, lift, "3x8 @7", null)));
    return new Exposure(lines, false, false, null, List.of());
  }

  private static Exposure fewer() {
    return Exposure.none("Fewer days a week now that the top weights rise.");
  }

  private static List<String> usual(Brief brief) {
    return switch (brief.lift().movement()) {
      case SQUAT -> List.of("front-squat");
      case BENCH -> List.of("close-grip-bench");
      case DEADLIFT -> List.of("stiff-legged-deadlift");
      default -> List.of();
    };
  }
}
