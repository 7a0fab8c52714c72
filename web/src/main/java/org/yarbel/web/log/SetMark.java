package org.yarbel.web.log;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.log.Mark;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.web.club.ClubRow;

/** One mark of a logged set, and on which side it was seen. */
@Entity
public class SetMark extends ClubRow {
  private long lifterId;
  private long sessionId;
  private long setId;

  @Enumerated(EnumType.STRING)
  private TechniqueMark what = TechniqueMark.OTHER;

  private @Nullable Integer rep;
  private boolean byCoach;
  private @Nullable Long clipId;
  private @Nullable Integer atMs;

  protected SetMark() {}

  /** A mark of a set that is kept. */
  public SetMark(LoggedSetRow set, Mark mark, boolean byCoach) {
    this.lifterId = set.lifterId();
    this.sessionId = set.sessionId();
    this.setId = set.id();
    this.what = mark.what();
    this.rep = mark.rep();
    this.byCoach = byCoach;
  }

  /** It was seen on a clip, so many milliseconds from its start. */
  public SetMark seenOn(long clip, int milliseconds) {
    this.clipId = clip;
    this.atMs = milliseconds;
    return this;
  }

  /** The clip it was seen on; null for one that was tapped beside the set. */
  public @Nullable Long clipId() {
    return clipId;
  }

  /** When in the clip, in milliseconds from its start; null without one. */
  public @Nullable Integer atMs() {
    return atMs;
  }

  /** Whose set it is on, by the row. */
  public long lifterId() {
    return lifterId;
  }

  /** The session of the set. */
  public long sessionId() {
    return sessionId;
  }

  /** The set, by its row. */
  public long setId() {
    return setId;
  }

  /** The mark itself. */
  public Mark mark() {
    return new Mark(what, rep);
  }

  /** Whether a coach saw it. */
  public boolean byCoach() {
    return byCoach;
  }
}
