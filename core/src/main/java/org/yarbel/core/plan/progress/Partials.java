package org.yarbel.core.plan.progress;

import java.util.ArrayList;
import java.util.List;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.PartOf;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.SlotKind;

/** Three positions of a lift, the loads rising over the sets and from week to week, six weeks long. */
final class Partials implements Rule {
  private static final Parameter.Number HIGH = new Parameter.Number("high", "high position, first set, %", "105", 90, 130);
  private static final Parameter.Number MID = new Parameter.Number("mid", "middle position, first set, %", "85", 70, 100);
  private static final Parameter.Number LOW = new Parameter.Number("low", "low position, first set, %", "70", 50, 90);

  /** A position: what is lifted, the share of the whole lift's max in the first set of the first week, and its rise a week. */
  private record Position(String lift, double from, double rise) {}

  private static final double OVER_SETS = 2.5;
  /** From the pins at the bottom about 88 % of a squat go: from here on the last triple of the six weeks leaves a rep. */
  private static final double BOTTOM = 69;

  @Override
  public List<Parameter> parameters() {
    return List.of(HIGH, MID, LOW);
  }

  @Override
  public Exposure write(Brief brief, List<Done> done, int number, int ahead) {
    if (brief.max().isEmpty()) {
      return Rule.withoutNumbers(brief, ahead);
    }
    int week = brief.week(number);
    if (week >= Cluster.WEEKS) {
      return Exposure.none("Six weeks of partials are over: test the whole lift.");
    }
    List<Exposure.Line> lines = new ArrayList<>();
    for (Position position : positions(brief)) {
      List<Part> sets = new ArrayList<>();
      for (int set = 0; set < 3; set++) {
        sets.add(PartOf.sets(1, 3).percentOf(position.from() + position.rise() * week + OVER_SETS * set, brief.lift().key()).part());
      }
      lines.add(new Exposure.Line(lines.isEmpty() ? SlotKind.MAIN : SlotKind.SECOND, position.lift(), new WorkLine(sets), null));
    }
    return new Exposure(lines, false, false, null, List.of());
  }

  private static List<Position> positions(Brief brief) {
    double high = brief.settings().get(HIGH);
    double mid = brief.settings().get(MID);
    double low = brief.settings().get(LOW);
    return switch (brief.lift().movement()) {
      case SQUAT -> List.of(new Position("half-squat-from-pins", high, 1), new Position("pin-squat", Math.min(mid, BOTTOM), 1),
          new Position("paused-squat", low, 1));
      case BENCH -> List.of(new Position("lock-out-press", high, 1), new Position("pin-press", mid, 1),
          new Position("long-pause-bench", low, 1));
      default -> List.of(new Position("pin-pull-above-knee", high, 1), new Position("pin-pull-below-knee", mid, 1),
          new Position("deficit-deadlift", low, 1));
    };
  }
}
