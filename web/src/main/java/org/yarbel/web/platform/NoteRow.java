package org.yarbel.web.platform;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.club.ClubRow;
import org.yarbel.web.who.SignedIn;

/** One entry of a contest's day: who wrote what of whom, and what stood there before. */
@Entity
@Table(name = "contest_note")
class NoteRow extends ClubRow {
  private long contestId;
  private long athleteId;
  private UUID entryKey = new UUID(0, 0);
  private @Nullable Long accountId;
  private String author = "";
  private Instant saidAt = Instant.EPOCH;
  private String spot = "";
  private String words = "";
  private String before = "";
  private String after = "";
  private boolean undone;

  /**
   * What an entry changes.
   *
   * @param spot which attempt, event or person it is of
   * @param before as {@link Kept} writes it, empty for nothing
   */
  record Changed(String spot, String words, String before, String after) {}

  protected NoteRow() {}

  NoteRow(long contestId, long athleteId, UUID key, Changed changed) {
    this.contestId = contestId;
    this.athleteId = athleteId;
    this.entryKey = key;
    this.spot = changed.spot();
    this.words = changed.words();
    this.before = changed.before();
    this.after = changed.after();
  }

  NoteRow by(SignedIn who, Instant at) {
    this.accountId = who.accountId();
    this.author = who.name();
    this.saidAt = at;
    return this;
  }

  long contestId() {
    return contestId;
  }

  long athleteId() {
    return athleteId;
  }

  String author() {
    return author;
  }

  Instant saidAt() {
    return saidAt;
  }

  String words() {
    return words;
  }

  Changed changed() {
    return new Changed(spot, words, before, after);
  }

  boolean undone() {
    return undone;
  }

  void undo() {
    this.undone = true;
  }
}
