package org.yarbel.core.plan.progress;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.plan.SlotKind;

/** Volume, then strength, then a peak, each a block of rising shares; a taper, the contest and a week off. */
final class Blocks implements Rule {
  private static final Parameter.Count VOLUME = Parameter.Count.of("volume", "weeks of 4x8 at 65–75 %", 4, 1, 8);
  private static final Parameter.Count STRENGTH = Parameter.Count.of("strength", "weeks of 5x4 at 75–85 %", 4, 1, 8);
  private static final Parameter.Count PEAK = Parameter.Count.of("peak", "weeks of 3x2 at 85–95 %", 3, 1, 6);
  private static final Parameter.Lifts VARIATION = new Parameter.Lifts("variation", "variation in the first block");

  @Override
  public List<Parameter> parameters() {
    return List.of(VOLUME, STRENGTH, PEAK, VARIATION);
  }

  @Override
  public boolean peaking(Settings settings, int week) {
    return week >= settings.get(VOLUME);
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    int volume = brief.settings().get(VOLUME);
    int strength = brief.settings().get(STRENGTH);
    int peak = brief.settings().get(PEAK);
    int week = brief.week(number);
    int ofWeek = brief.ofWeek(number);
    if (week < volume) {
      return volume(brief, PartOf.sets(4, 8).percent(Percents.between(65, 75, week, volume)));
    }
    week -= volume;
    if (week < strength) {
      return ofWeek < 2 ? Exposure.of(brief, PartOf.sets(5, 4).percent(Percents.between(75, 85, week, strength))) : fewer();
    }
    week -= strength;
    if (week < peak) {
      return ofWeek < 1 ? Exposure.of(brief, PartOf.sets(3, 2).percent(Percents.between(85, 95, week, peak))) : fewer();
    }
    return switch (week - peak) {
      case 0 -> ofWeek < 1 ? Exposure.of(brief, PartOf.sets(1, 1).percent(90), PartOf.sets(2, 2).percent(80))
          .saying("Taper: half the volume, the intensity stays.") : fewer();
      case 1 -> Exposure.none("The week of the contest: the platform is the session.");
      case 2 -> Exposure.none("A week off.");
      default -> Exposure.none("The blocks are over: start again from new numbers.");
    };
  }

  private static Exposure volume(Brief brief, PartOf work) {
    List<Exposure.Line> lines = new ArrayList<>();
    lines.add(Exposure.main(brief, work));
    brief.variations(VARIATION, usual(brief)).forEach(lift -> lines.add(Exposure.Line.of(SlotKind.SECOND, lift, PartOf.sets(3, 8).rpe(7))));
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
