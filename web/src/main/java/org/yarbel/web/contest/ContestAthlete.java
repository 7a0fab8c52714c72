package org.yarbel.web.contest;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubRow;

/** One who lifts in a contest: a lifter of the club, or a rival. */
@Entity
public class ContestAthlete extends ClubRow {
  private long contestId;
  private @Nullable Long lifterId;
  private String name = "";

  @Enumerated(EnumType.STRING)
  private @Nullable Sex sex;

  private String category = "";
  private String flight = "";
  private @Nullable Integer lot;

  @Column(name = "body_mass_ng")
  private @Nullable Long bodyMassNg;

  @Column(name = "expected_ng")
  private @Nullable Long expectedNg;

  @Convert(converter = PreparedColumn.class)
  private Prepared sheet = Prepared.NOTHING;

  private boolean withdrawn;
  private boolean gone;
  private @Nullable Instant loggedAt;
  @Version private int version;

  /**
   * What is written down of somebody before they lift.
   *
   * @param name of a rival; empty for one of the club, who has a name already
   * @param sex of a rival; null where nobody knows it
   * @param bodyMass of the weigh-in; null before it
   * @param expected the total that a rival is thought to come to; null where nobody knows
   */
  public record AthleteSaid(String name, @Nullable Sex sex, String category, String flight, @Nullable Integer lot, @Nullable Mass bodyMass,
      @Nullable Mass expected, boolean withdrawn, boolean gone) {
    /** A rival of a name, of whom nothing else is known yet. */
    public static AthleteSaid rival(String name) {
      return new AthleteSaid(name, null, "", "", null, null, null, false, false);
    }

    /** The same, withdrawn or back. */
    public AthleteSaid withdrawing(boolean out) {
      return new AthleteSaid(name, sex, category, flight, lot, bodyMass, expected, out, gone);
    }

    /** The same, taken out of the contest. */
    public AthleteSaid leaving() {
      return new AthleteSaid(name, sex, category, flight, lot, bodyMass, expected, withdrawn, true);
    }
  }

  protected ContestAthlete() {}

  public ContestAthlete(long contestId, @Nullable Long lifterId, AthleteSaid said) {
    this.contestId = contestId;
    this.lifterId = lifterId;
    write(said);
  }

  /** Writes down what is said of them. */
  public final void write(AthleteSaid said) {
    this.name = said.name();
    this.sex = said.sex();
    this.category = said.category();
    this.flight = said.flight();
    this.lot = said.lot();
    this.bodyMassNg = said.bodyMass() == null ? null : Long.valueOf(said.bodyMass().nanograms());
    this.expectedNg = said.expected() == null ? null : Long.valueOf(said.expected().nanograms());
    this.withdrawn = said.withdrawn();
    this.gone = said.gone();
  }

  /** What is said of them. */
  public AthleteSaid said() {
    return new AthleteSaid(name, sex, category, flight, lot, mass(bodyMassNg), mass(expectedNg), withdrawn, gone);
  }

  private static @Nullable Mass mass(@Nullable Long nanograms) {
    return nanograms == null ? null : Mass.ofNanograms(nanograms, MassUnit.KG);
  }

  public long contestId() {
    return contestId;
  }

  /** The lifter of the club it is; null for a rival. */
  public @Nullable Long lifterId() {
    return lifterId;
  }

  /** Whether it is a lifter of the club. */
  public boolean ours() {
    return lifterId != null;
  }

  /** Whether it is this lifter. */
  public boolean is(long lifter) {
    return Objects.equals(lifterId, lifter);
  }

  /** Racks, bag, aims and warm-ups. */
  public Prepared prepared() {
    return sheet;
  }

  public void prepare(Prepared what) {
    this.sheet = what;
  }

  void goes(boolean there, String weightClass) {
    this.gone = !there;
    this.category = weightClass;
  }

  /** When the day went into the log; null while it has not. */
  public @Nullable Instant loggedAt() {
    return loggedAt;
  }

  public void logged(@Nullable Instant at) {
    this.loggedAt = at;
  }

  /** Counts its changes, from 0. */
  public int version() {
    return version;
  }
}
