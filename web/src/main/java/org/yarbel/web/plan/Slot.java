package org.yarbel.web.plan;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.ClubRow;

/** One line of work in a session: the plan as it is typed. Its loads are derived whenever they are shown. */
@Entity
public class Slot extends ClubRow {
  private long sessionId;
  private int position;

  @Enumerated(EnumType.STRING)
  private SlotKind kind = SlotKind.MAIN;

  private String lift = "";
  private String work = "";

  @Embedded private Details details = Details.NONE;

  private @Nullable Integer groupNo;
  private @Nullable Long linkOf;
  @Version private int version;

  protected Slot() {}

  public Slot(long sessionId, int position, SlotKind kind, String lift, String work) {
    this.sessionId = sessionId;
    this.position = position;
    write(kind, lift, work, Details.NONE);
  }

  /** A line that does another one a second time, in a group of its own. */
  public static Slot again(Slot first, int position, SlotKind kind, int groupNo) {
    Slot slot = new Slot(first.sessionId, position, kind, first.lift, first.work);
    slot.details = first.details;
    slot.linkOf = first.id();
    slot.groupNo = groupNo;
    return slot;
  }

  /** Says what the line it does again says; true when something was new. */
  public boolean follow(Slot first) {
    boolean same = lift.equals(first.lift) && work.equals(first.work) && details.equals(first.details);
    write(kind, first.lift, first.work, first.details);
    return !same;
  }

  public long sessionId() {
    return sessionId;
  }

  public int position() {
    return position;
  }

  public SlotKind kind() {
    return kind;
  }

  /** The key of the lift. */
  public String lift() {
    return lift;
  }

  /** The line, in normal form. */
  public String work() {
    return work;
  }

  public Details details() {
    return details;
  }

  /** The number of its group in the session; null for none. */
  public @Nullable Integer groupNo() {
    return groupNo;
  }

  /** The line it does a second time; null for one of its own. */
  public @Nullable Long linkOf() {
    return linkOf;
  }

  /** Puts it into its place in the session. */
  public void place(int newPosition, @Nullable Integer newGroup) {
    this.position = newPosition;
    this.groupNo = newGroup;
  }

  public int version() {
    return version;
  }

  /** Changes what is done here. */
  public final void write(SlotKind newKind, String newLift, String newWork, Details newDetails) {
    this.kind = newKind;
    this.lift = newLift;
    this.work = newWork;
    this.details = newDetails;
  }
}
