package org.yarbel.web.platform;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubRow;

/** One attempt of an athlete, handed in or lifted. */
@Entity
@Table(name = "contest_attempt")
class AttemptRow extends ClubRow {
  private long contestId;
  private long athleteId;
  private String lift = "";
  private int number;
  private long loadNg;

  @Enumerated(EnumType.STRING)
  private MassUnit loadUnit = MassUnit.KG;

  private int changed;
  private @Nullable Boolean good;
  private @Nullable Integer whites;
  private @Nullable String reason;

  @Enumerated(EnumType.STRING)
  private Verdict.@Nullable Look look;

  private long noteId;
  @Version private int version;

  protected AttemptRow() {}

  AttemptRow(long contestId, long athleteId, AttemptSpot spot) {
    this.contestId = contestId;
    this.athleteId = athleteId;
    this.lift = spot.lift();
    this.number = spot.number();
  }

  /** The entry it stands by. */
  long noteId() {
    return noteId;
  }

  void write(Attempt attempt, long note) {
    Verdict verdict = attempt.verdict();
    this.loadNg = attempt.load().nanograms();
    this.loadUnit = attempt.load().unit();
    this.changed = attempt.changed();
    this.good = verdict == null ? null : Boolean.valueOf(verdict.good());
    this.whites = verdict == null ? null : verdict.whites();
    this.reason = verdict == null || verdict.reason() == null ? null : verdict.reason().name();
    this.look = verdict == null ? null : verdict.look();
    this.noteId = note;
  }

  Attempt attempt() {
    return new AttemptSeen(athleteId, lift, number, loadNg, loadUnit, changed, good, whites, reason, look).attempt();
  }
}
