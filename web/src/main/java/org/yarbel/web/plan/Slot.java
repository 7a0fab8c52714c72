package org.yarbel.web.plan;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
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
  @Version private int version;

  protected Slot() {}

  public Slot(long sessionId, int position, SlotKind kind, String lift, String work) {
    this.sessionId = sessionId;
    this.position = position;
    write(kind, lift, work);
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

  public int version() {
    return version;
  }

  /** Changes what is done here. */
  public final void write(SlotKind newKind, String newLift, String newWork) {
    this.kind = newKind;
    this.lift = newLift;
    this.work = newWork;
  }
}
