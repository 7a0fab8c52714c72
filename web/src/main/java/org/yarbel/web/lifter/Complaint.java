package org.yarbel.web.lifter;

import jakarta.persistence.Entity;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.web.club.ClubRow;

/** Where it hurts, or what holds somebody back without hurting. It is context; a clinician judges it. */
@Entity
public class Complaint extends ClubRow {
  private long lifterId;
  private String place = "";
  private LocalDate since = LocalDate.EPOCH;
  private @Nullable Integer score;
  private String aggravates = "";
  private @Nullable LocalDate overOn;

  protected Complaint() {}

  /** @param score of the pain, 0 to 10; null for what does not hurt */
  public Complaint(long lifterId, String place, LocalDate since, @Nullable Integer score, String aggravates) {
    this.lifterId = lifterId;
    this.place = place;
    this.since = since;
    this.score = score;
    this.aggravates = aggravates;
  }

  public long lifterId() {
    return lifterId;
  }

  /** Where it hurts. */
  public String place() {
    return place;
  }

  /** Since when. */
  public LocalDate since() {
    return since;
  }

  /** How much of 10; null where nobody said. */
  public @Nullable Integer score() {
    return score;
  }

  public String aggravates() {
    return aggravates;
  }

  public @Nullable LocalDate overOn() {
    return overOn;
  }

  /** In words: {@code left knee 3 of 10, worse with deep squats}. */
  public String words() {
    return place + (score == null ? "" : " " + score + " of 10") + (aggravates.isEmpty() ? "" : ", worse with " + aggravates);
  }

  void over(@Nullable LocalDate on) {
    this.overOn = on;
  }
}
