package org.yarbel.web.platform;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.web.club.ClubRow;

/** What an athlete did in an event of strongman. */
@Entity
@Table(name = "contest_result")
class ResultRow extends ClubRow {
  private long contestId;
  private long athleteId;
  private int event;
  private String figures = "";
  private long noteId;
  @Version private int version;

  protected ResultRow() {}

  ResultRow(long contestId, long athleteId, int event) {
    this.contestId = contestId;
    this.athleteId = athleteId;
    this.event = event;
  }

  long athleteId() {
    return athleteId;
  }

  /** The number of the event, from 1. */
  int event() {
    return event;
  }

  /** The entry it stands by. */
  long noteId() {
    return noteId;
  }

  void write(EventResult result, long note) {
    this.figures = Kept.of(result);
    this.noteId = note;
  }

  EventResult result() {
    return Kept.result(figures);
  }
}
