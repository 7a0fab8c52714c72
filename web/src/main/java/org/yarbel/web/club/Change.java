package org.yarbel.web.club;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One change to a thing of the club, with what stood there before and after, so that it can be undone. */
@Entity
public class Change extends ClubRow {
  private long accountId;
  @Column(name = "at") private Instant changedAt = Instant.EPOCH;
  private @Nullable Long lifterId;

  @Enumerated(EnumType.STRING)
  private Subject subject = Subject.PLAN;

  private long subjectId;
  private @Nullable String before;
  private @Nullable String after;
  private boolean undone;
  private @Nullable String words;
  private @Nullable Instant undoneAt;
  private @Nullable UUID batch;
  private @Nullable Long groupId;
  @Version private int version;

  protected Change() {}

  /** What is changed; for each kind one {@link Undoing} takes changes back. */
  public enum Subject {
    /** Days of a lifter's plan. */
    PLAN,
    /** What a place owns. */
    PLACE,
    /** Something of the plan, in a form of before; kept as a record. */
    OLD
  }

  private Change(Subject subject, long subjectId, @Nullable Long lifterId, long accountId, Instant at,
      @Nullable String before, @Nullable String after) {
    this.subject = subject;
    this.subjectId = subjectId;
    this.lifterId = lifterId;
    this.accountId = accountId;
    this.changedAt = at;
    this.before = before;
    this.after = after;
  }

  /** A change to days of a lifter's plan. */
  public static Change ofPlan(long accountId, Instant at, long lifterId, String before, String after) {
    return new Change(Subject.PLAN, lifterId, lifterId, accountId, at, before, after);
  }

  /** A change to what a place owns. */
  public static Change ofPlace(long accountId, Instant at, long placeId, String before, String after) {
    return new Change(Subject.PLACE, placeId, null, accountId, at, before, after);
  }

  /** The most characters of its words. */
  private static final int MOST_WORDS = 200;

  /** The same with what it did, in a few words. */
  public Change saying(String what) {
    this.words = what.substring(0, Math.min(MOST_WORDS, what.length()));
    return this;
  }

  /** What it did, in a few words; null in records of old. */
  public @Nullable String words() {
    return words;
  }

  /** Was made as one with others, for a group. */
  public void together(UUID with, long group) {
    this.batch = with;
    this.groupId = group;
  }

  /** Belongs to nothing any more that was made as one. */
  public void alone() {
    this.batch = null;
    this.groupId = null;
  }

  /** What it was made as one with; null for a change by itself. */
  public @Nullable UUID batch() {
    return batch;
  }

  /** The lifter it is about; 0 for none. */
  public long lifterId() {
    return lifterId == null ? 0 : lifterId;
  }

  /** What kind of thing was changed. */
  public Subject subject() {
    return subject;
  }

  public long subjectId() {
    return subjectId;
  }

  /** What stood before, as a document; null for a change of the old forms. */
  public @Nullable String before() {
    return before;
  }

  /** What stood after, as a document. */
  public @Nullable String after() {
    return after;
  }

  /** When it was made. */
  public Instant at() {
    return changedAt;
  }

  /** Whether it is taken back. */
  public boolean undone() {
    return undone;
  }

  /** Marks it as taken back. */
  public void undo() {
    undone = true;
    this.undoneAt = Instant.now();
  }

  /** Does it again after it was undone. */
  public void redo() {
    undone = false;
    this.undoneAt = null;
  }
}
