package org.yarbel.web.plan;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.EasyWay;
import org.yarbel.core.plan.Groups;
import org.yarbel.web.club.ClubRow;

/** One lifter's training of one day; its work stands in {@link Slot}s. */
@Entity
public class TrainingSession extends ClubRow {
  private long lifterId;
  private LocalDate day = LocalDate.EPOCH;
  private @Nullable Long placeId;

  @Convert(converter = GroupsColumn.class)
  private Groups groups = Groups.NONE;

  @Enumerated(EnumType.STRING)
  private @Nullable EasyWay easier;

  @Version private int version;

  protected TrainingSession() {}

  public TrainingSession(long lifterId, LocalDate day) {
    this.lifterId = lifterId;
    this.day = day;
  }

  /** Whose session it is, by the row. */
  public long lifterId() {
    return lifterId;
  }

  /** The day it stands on. */
  public LocalDate day() {
    return day;
  }

  /** The groups its lines are done in. */
  public Groups groups() {
    return groups;
  }

  /** Arranges its lines in these groups. */
  public void arrange(Groups newGroups) {
    this.groups = newGroups;
  }

  /** How the lifter made it easier on a low day; null as planned. */
  public @Nullable EasyWay easier() {
    return easier;
  }

  /** Makes it easier for its day; null for as planned. */
  public void ease(@Nullable EasyWay way) {
    this.easier = way;
  }

  /** Where it is not the place the lifter trains in first; else null. */
  public @Nullable Long placeId() {
    return placeId;
  }

  /** Moves it to a place; null for the one the lifter trains in first. */
  public void moveTo(@Nullable Long place) {
    this.placeId = place;
  }
}
