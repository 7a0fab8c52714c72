package org.yarbel.web.log;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.core.track.RatingEvidence;
import org.yarbel.core.track.RatingSkill;
import org.yarbel.core.track.SpeedTable;
import org.yarbel.web.club.ClubRow;

/** One set that was done, with what was asked. */
@Entity
@Table(name = "logged_set")
public class LoggedSetRow extends ClubRow {
  /** Stands for the line of a set that was lifted from none. */
  public static final UUID TOLD = new UUID(0, 0);

  private long lifterId;
  private @Nullable Long sessionId;
  private @Nullable UUID line;
  private int issueNumber;
  private int part;
  private int setNumber;
  private String lift = "";
  private LocalDate day = LocalDate.EPOCH;
  private long loadNg;

  @Enumerated(EnumType.STRING)
  private MassUnit unit = MassUnit.KG;

  private int reps;
  private @Nullable Integer rpeHalves;
  private boolean easier;
  private boolean toFailure;
  @Enumerated(EnumType.STRING)
  private @Nullable HowEnded ended;

  private boolean flagged;
  private @Nullable Long askedNg;
  private @Nullable Integer askedReps;
  private @Nullable Integer doneTenths;
  private @Nullable Integer doneCentimetres;
  @Enumerated(EnumType.STRING)
  private @Nullable Stopped stopped;

  @Embedded
  private SetState state = SetState.USUAL;

  private @Nullable Integer askedTenths;
  private @Nullable Integer askedCentimetres;

  @Embedded
  private @Nullable Opinion opinion;

  private @Nullable String askedLift;
  private boolean extra;
  private boolean tellsOfMax = true;
  private boolean contest;
  private boolean nextMissed;
  private boolean touchAndGo;
  private @Nullable Long athleteId;
  private UUID entryKey = new UUID(0, 0);
  private Instant loggedAt = Instant.EPOCH;
  @Version private int version;

  protected LoggedSetRow() {}

  /** A set of a line, before anything is written down of it. */
  public LoggedSetRow(long lifterId, long sessionId, UUID line, LoggedSet.Place place, String lift, LocalDate day) {
    this.lifterId = lifterId;
    this.sessionId = sessionId;
    this.line = line;
    this.part = place.part();
    this.setNumber = place.set();
    this.lift = lift;
    this.day = day;
  }

  /** An attempt of a contest, with what is said of it. */
  public static LoggedSetRow attempt(long lifterId, String lift, Observation set, long athlete, Said said, Instant at) {
    LoggedSetRow row = told(lifterId, lift, set, at);
    row.athleteId = athlete;
    row.state = row.state.said(said);
    row.tellsOfMax = !set.is(Trait.PRACTICE);
    return row;
  }

  /** The same with how long it took and how far it went; null where nobody said. */
  public LoggedSetRow took(@Nullable Integer tenths, @Nullable Integer centimetres) {
    this.doneTenths = tenths;
    this.doneCentimetres = centimetres;
    return this;
  }

  /** A set from before, as somebody tells it. */
  public static LoggedSetRow told(long lifterId, String lift, Observation set, Instant at) {
    LoggedSetRow row = new LoggedSetRow();
    row.lifterId = lifterId;
    row.lift = lift;
    row.day = set.date();
    row.part = 1;
    row.setNumber = 1;
    row.loadNg = set.load().nanograms();
    row.unit = set.load().unit();
    row.reps = set.reps();
    row.rpeHalves = set.rpe() == null ? null : set.rpe().halves();
    row.easier = set.is(Trait.EASIER);
    row.toFailure = set.is(Trait.FAILED);
    row.flagged = set.is(Trait.FLAGGED);
    row.contest = set.is(Trait.CONTEST);
    row.nextMissed = set.is(Trait.NEXT_MISSED);
    row.touchAndGo = set.is(Trait.TOUCH_AND_GO);
    row.entryKey = UUID.randomUUID();
    row.loggedAt = at;
    return row;
  }

  /**
   * Writes down what was done, and what had been asked on the card it was lifted from.
   *
   * @param telling whether it says something about the max of the lift
   */
  public void write(Entry entry, ResolvedSet asked, boolean telling, Instant at) {
    this.issueNumber = entry.issue();
    this.loadNg = entry.load().nanograms();
    this.unit = entry.load().unit();
    this.reps = entry.reps();
    this.rpeHalves = entry.rpe() == null ? null : entry.rpe().halves();
    this.easier = entry.easier();
    this.ended = entry.ended();
    this.toFailure = entry.ended() != null && entry.ended().failed();
    say(entry.said() == null ? Said.NOTHING : entry.said());
    this.askedNg = asked.load() == null ? null : asked.load().nanograms();
    this.askedReps = asked.reps();
    Integer seconds = asked.clock() == null ? null : asked.clock().seconds();
    this.askedTenths = seconds == null || seconds <= 0 ? null : Integer.valueOf(seconds * 10);
    BigDecimal metres = asked.distance() == null ? null : asked.distance().metres();
    this.askedCentimetres = metres == null || metres.signum() <= 0 ? null : Integer.valueOf(metres.movePointRight(2).intValue());
    this.doneTenths = entry.tenths();
    this.doneCentimetres = entry.centimetres();
    this.stopped = entry.stopped();
    this.tellsOfMax = telling;
    this.entryKey = entry.key();
    this.loggedAt = at;
  }

  /** A set that was done beside what the card asked. */
  public static LoggedSetRow beside(long lifterId, long sessionId, String lift, LocalDate day, ExtraSet done, boolean telling, Instant at) {
    LoggedSetRow row = new LoggedSetRow(lifterId, sessionId, done.line(), new LoggedSet.Place(1, done.number()), lift, day);
    row.extra = true;
    row.loadNg = done.load().nanograms();
    row.unit = done.load().unit();
    row.reps = done.reps();
    row.rpeHalves = done.rpe() == null ? null : done.rpe().halves();
    row.easier = done.easier();
    row.toFailure = done.reps() == 0;
    row.tellsOfMax = telling;
    row.entryKey = done.key();
    row.loggedAt = at;
    row.say(done.said());
    return row;
  }

  private void say(Said said) {
    this.state = state.said(said);
    this.flagged = said.flagged();
    String asked = askedLift == null ? lift : askedLift;
    boolean other = said.did() != null && !said.did().equals(asked);
    this.askedLift = other ? asked : null;
    this.lift = other ? said.did() : asked;
  }

  /** Whose set it is, by the row. */
  public long lifterId() {
    return lifterId;
  }

  /** The key of the lift. */
  public String lift() {
    return lift;
  }

  /** The session it was lifted in; 0 for a set that was told. */
  public long sessionId() {
    return sessionId == null ? 0 : sessionId;
  }

  /** The ref of the line it was lifted from; {@link #TOLD} for a set that was told. */
  public UUID line() {
    return line == null ? TOLD : line;
  }

  /** Whether it was told from before, not lifted from a card. */
  public boolean told() {
    return sessionId == null;
  }

  /** The day it was lifted on. */
  public LocalDate day() {
    return day;
  }

  /** When it was written down last. */
  public Instant loggedAt() {
    return loggedAt;
  }

  /** What was on the bar, the bar with it. */
  public Mass load() {
    return Mass.ofNanograms(loadNg, unit);
  }

  /** Good reps; 0 for a miss. */
  public int reps() {
    return reps;
  }

  /** How it was rated; null unrated. */
  public @Nullable Rpe rpe() {
    return Rpe.ofNullableHalves(rpeHalves);
  }

  /** Whether it was rated under 6. */
  public boolean easier() {
    return easier;
  }

  /** Why it had no more reps; null where nobody said. */
  public @Nullable HowEnded ended() {
    return ended;
  }

  /** In what state it was lifted, with what, and how fast it moved. */
  public SetState state() {
    return state;
  }

  /** The set with its speeds, as what tells of ratings by them sees it; empty for a miss and where nobody measured it. */
  public Optional<SpeedTable.Measured> measured() {
    RepSpeeds speeds = state.repSpeeds();
    return speeds == null || reps == 0 ? Optional.empty() : Optional.of(new SpeedTable.Measured(load(), reps, ratingTaken(), speeds));
  }

  /** Writes down how fast it was, as a clip or a device has told. */
  public void measured(RepSpeeds told, SpeedSource from) {
    this.state = state.measured(told, from);
  }

  /** Whether one more rep was tried than was good. */
  public boolean triedFurther() {
    return reps == 0 || ended != null && ended.triedFurther();
  }

  /** The lift its line asked for where another was done; null where it was done as asked. */
  public @Nullable String askedLift() {
    return askedLift;
  }

  /** Whether it was done beside what the card asked. */
  public boolean extra() {
    return extra;
  }

  /** Moves it to the day it was truly lifted on. */
  public void moveTo(LocalDate other) {
    this.day = other;
  }

  /** Whether something was off. */
  public boolean flagged() {
    return flagged;
  }

  /** The load that was asked; null where the lifter picked. */
  public @Nullable Mass asked() {
    return askedNg == null ? null : Mass.ofNanograms(askedNg, unit);
  }

  /** The reps that were asked; null where as many as go. */
  public @Nullable Integer askedReps() {
    return askedReps;
  }

  /** How long it was asked to take or to be held, in tenths of a second; null where nothing was asked. */
  public @Nullable Integer askedTenths() {
    return askedTenths;
  }

  /** How far it was asked to be carried; null where nothing was asked. */
  public @Nullable Integer askedCentimetres() {
    return askedCentimetres;
  }

  /** How hard it looked to a coach; null where none said. */
  public @Nullable Opinion opinion() {
    return opinion;
  }

  /** A coach says how hard it looked; null takes that back. */
  public void opine(@Nullable Opinion said) {
    this.opinion = said;
  }

  /** A rating and what stands beside it; empty unrated. */
  public Optional<RatingEvidence> evidence(@Nullable Rpe bySpeed) {
    Rpe rated = rpe();
    return rated == null ? Optional.empty() : Optional.of(new RatingEvidence(rated, opinion == null ? null : opinion.looked(), bySpeed));
  }

  /** The rating that is worked with: the lifter's, moved towards a second opinion; null unrated. */
  public @Nullable Rpe ratingTaken() {
    return evidence(null).map(RatingEvidence::taken).orElse(null);
  }

  /** Counts its corrections, from 0. */
  public int version() {
    return version;
  }

  UUID entryKey() {
    return entryKey;
  }

  /** How long it took or was held, in tenths of a second; null where nobody said. */
  public @Nullable Integer doneTenths() {
    return doneTenths;
  }

  /** How far it was carried; null where nobody said. */
  public @Nullable Integer doneCentimetres() {
    return doneCentimetres;
  }

  /** What ended it before its time was up; null where nothing did or nobody said. */
  public @Nullable Stopped stopped() {
    return stopped;
  }

  /** The set as the resolver sees it. */
  public LoggedSet loggedSet() {
    return new LoggedSet(part, setNumber, load(), reps, rpe());
  }

  /** The set as the tracker sees it. */
  public Observation observation() {
    // no rep that somebody chose not to make, or could not for pain, says anything of strength
    boolean unsaid = reps == 0 && ended != null && !ended.failed();
    // what a set that ended by pain is rated tells of the pain: its good reps say the least the max can be
    boolean hurt = ended == HowEnded.HURT;
    return Observation.of(day, load(), reps, hurt ? null : ratingTaken()).with(Trait.EASIER, easier && !hurt).with(Trait.FAILED, toFailure)
        .with(Trait.CONTEST, contest)
        .with(Trait.NEXT_MISSED, nextMissed).with(Trait.FLAGGED, flagged || hurt).with(Trait.TOUCH_AND_GO, touchAndGo)
        .with(Trait.PRACTICE, !tellsOfMax || unsaid);
  }

  /** The set as what tells of the lifter's ratings sees it: with the rating as it was given. */
  public RatingSkill.Rated rated() {
    return new RatingSkill.Rated(day, load(), reps, rpe(), toFailure, askedReps == null && sessionId != null);
  }

  /** Whether it went to failure, though nobody was asked how it ended. */
  boolean failedUnsaid() {
    return toFailure && ended == null;
  }

  /** In words: {@code 182.5 kg × 1 @8}, {@code 140 kg, 20 m in 38 s}, or what was missed. */
  public String words() {
    return SetInWords.of(this).words();
  }
}
