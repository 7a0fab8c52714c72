package org.yarbel.web.edit;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;

/**
 * A line to write into a day.
 *
 * @param group of equal ones, one after another, a group is made; null for none
 * @param again how the group is called where it is done a second time at the end of the session; null where it is not
 */
public record NewLine(LocalDate day, SlotKind kind, String lift, String work, Details details, @Nullable Group group,
    @Nullable SlotKind again) {
  /** One whose group is done once. */
  public NewLine(LocalDate day, SlotKind kind, String lift, String work, Details details, @Nullable Group group) {
    this(day, kind, lift, work, details, group, null);
  }

  /** One by itself, of which nothing is said beside the work. */
  public static NewLine of(LocalDate day, SlotKind kind, String lift, String work) {
    return new NewLine(day, kind, lift, work, Details.NONE, null);
  }

  /** A line by itself, as it would stand on another day. */
  static NewLine copied(Slot slot, LocalDate day) {
    return new NewLine(day, slot.kind(), slot.lift(), slot.work(), slot.details(), null);
  }

  /** The lines of a session with their groups, as they would stand on another day. */
  static List<NewLine> copied(TrainingSession session, List<Slot> all, LocalDate day) {
    List<NewLine> lines = new ArrayList<>();
    all.stream().filter(slot -> slot.linkOf() == null)
        .forEach(slot -> lines.add(new NewLine(day, slot.kind(), slot.lift(), slot.work(), slot.details(),
        session.groups().group(slot.groupNo()), again(slot, all))));
    return lines;
  }

  /** What a line is when it is done a second time; null where it is not. */
  public static @Nullable SlotKind again(Slot slot, List<Slot> all) {
    return all.stream().filter(other -> Objects.equals(other.linkOf(), slot.id())).map(Slot::kind).findFirst().orElse(null);
  }
}
