package org.yarbel.web.plan;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.ClubRow;

/** One line of work in a session: the plan as it is typed. Its loads are derived whenever they are shown. */
@Entity
public class Slot extends ClubRow {
  private static final String BETWEEN = " | ";

  private UUID ref = UUID.randomUUID();
  private long sessionId;
  private int position;

  @Enumerated(EnumType.STRING)
  private SlotKind kind = SlotKind.MAIN;

  private String lift = "";
  private String work = "";

  @Embedded private Details details = Details.NONE;

  private @Nullable Integer groupNo;
  private @Nullable Long linkOf;
  private @Nullable UUID progression;
  private @Nullable Integer exposure;
  private @Nullable Integer lineNo;
  private @Nullable LocalDate plannedOn;
  private @Nullable String written;
  private boolean forecast;
  private @Nullable Long trainingNg;
  private @Nullable String remark;
  @Version private int version;

  protected Slot() {}

  public Slot(long sessionId, int position, SlotKind kind, String lift, String work) {
    this.sessionId = sessionId;
    this.position = position;
    write(kind, lift, work, Details.NONE);
  }

  /** A line that was there before and is known by the same ref. */
  public static Slot back(UUID ref, long sessionId, SlotKind kind, String lift, String work) {
    Slot slot = new Slot(sessionId, 0, kind, lift, work);
    slot.ref = ref;
    return slot;
  }

  /** A line that does another one a second time, in a group of its own. */
  public static Slot again(UUID ref, Slot first, SlotKind kind, int groupNo) {
    Slot slot = back(ref, first.sessionId, kind, first.lift, first.work);
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

  /** What the line is known by, in records and outside of the database; one that is put back has the same. */
  public UUID ref() {
    return ref;
  }

  /** The session it stands in, by the row. */
  public long sessionId() {
    return sessionId;
  }

  /** Its place in the session, from 1. */
  public int position() {
    return position;
  }

  /** What part of the session it is. */
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

  /** What is said beside the work. */
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

  /** Counts its changes, from 0. */
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

  /**
   * Which method wrote it, and for which of its exposures.
   *
   * @param exposure its number from 0; under 0 in an easy week that does not count
   * @param line the line of the exposure, from 0
   * @param day it was written for; a coach may have moved it since
   */
  public record Origin(UUID progression, int exposure, int line, LocalDate day) {}

  /** Where it comes from; null for a line somebody wrote. */
  public @Nullable Origin origin() {
    return progression == null || exposure == null || lineNo == null || plannedOn == null ? null
        : new Origin(progression, exposure, lineNo, plannedOn);
  }

  /** What its method wrote, or would write now; null without a method. */
  public @Nullable String written() {
    return written;
  }

  /** The lift of {@link #written}, by its key. */
  public Optional<String> writtenLift() {
    return Optional.ofNullable(written).map(text -> text.substring(0, text.indexOf(BETWEEN)));
  }

  /** The work of {@link #written}. */
  public Optional<String> writtenWork() {
    return Optional.ofNullable(written).map(text -> text.substring(text.indexOf(BETWEEN) + BETWEEN.length()));
  }

  /** Whether somebody changed what its method wrote. */
  public boolean edited() {
    return written != null && !written.equals(said(lift, work));
  }

  /** Whether its method takes for granted that exposures before it go as planned. */
  public boolean forecast() {
    return forecast;
  }

  /** The training max it is written for, in nanograms; null for the lifter's own of the day. */
  public @Nullable Long trainingNg() {
    return trainingNg;
  }

  /** What its method says of it; null for nothing. */
  public @Nullable String remark() {
    return remark;
  }

  /** Takes what a method says of it; the line itself is written by {@link #write}. */
  public void originate(@Nullable Origin from, @Nullable String newWritten, boolean ahead, @Nullable Long training,
      @Nullable String newRemark) {
    this.progression = from == null ? null : from.progression();
    this.exposure = from == null ? null : Integer.valueOf(from.exposure());
    this.lineNo = from == null ? null : Integer.valueOf(from.line());
    this.plannedOn = from == null ? null : from.day();
    this.written = newWritten;
    this.forecast = ahead;
    this.trainingNg = training;
    this.remark = newRemark;
  }

  /** Does another line a second time from now on, or none. */
  public void follows(@Nullable Long first) {
    this.linkOf = first;
  }

  /** Stands in another session from now on. */
  public void moveTo(long newSession, int newPosition) {
    this.sessionId = newSession;
    this.position = newPosition;
    this.groupNo = null;
  }

  /** A lift and its work as one text, to compare. */
  public static String said(String lift, String work) {
    return lift + BETWEEN + work;
  }
}
