package org.yarbel.web.plan;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.Groups;

/** Stored lines as the core works them out: nothing of a line that decides its loads is left behind here. */
public final class PlannedLines {
  private PlannedLines() {}

  /** A line of a session. */
  public static PlannedLine of(LifterContext context, Slot slot, Groups groups) {
    Long training = slot.trainingNg();
    return new PlannedLine(context.lift(slot.lift()), slot.work(), slot.details().beside(), groups.rounds(slot.groupNo()),
        training == null ? null : Mass.ofNanograms(training, context.unit()));
  }

  /** The lines of a session in their order, worked out, by slot. */
  public static Map<Long, SessionResolver.Worked> session(LifterContext context, List<Slot> slots, Groups groups) {
    List<SessionResolver.Worked> worked = new SessionResolver(context)
        .session(slots.stream().map(slot -> of(context, slot, groups)).toList());
    Map<Long, SessionResolver.Worked> byId = new LinkedHashMap<>();
    for (int i = 0; i < slots.size(); i++) {
      byId.put(slots.get(i).id(), worked.get(i));
    }
    return byId;
  }
}
