package org.yarbel.web.lifter;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.club.ClubRow;

/** A lifter of the club. */
@Entity
public class Lifter extends ClubRow {
  private long placeId;
  private String name = "";

  @Enumerated(EnumType.STRING)
  private MassUnit unit = MassUnit.KG;

  private @Nullable String sex;
  private @Nullable Integer birthYear;
  private @Nullable Long bodyMassNg;
  private String note = "";
  @Version private int version;

  protected Lifter() {}

  public Lifter(String name, MassUnit unit, long placeId) {
    this.name = name;
    this.unit = unit;
    this.placeId = placeId;
  }

  public String name() {
    return name;
  }

  /** The unit every screen shows this lifter's loads in. */
  public MassUnit unit() {
    return unit;
  }

  public long placeId() {
    return placeId;
  }

  public @Nullable Mass bodyMass() {
    return bodyMassNg == null ? null : Mass.ofNanograms(bodyMassNg, unit);
  }

  public @Nullable String sex() {
    return sex;
  }

  public @Nullable Integer birthYear() {
    return birthYear;
  }

  public String note() {
    return note;
  }

  public int version() {
    return version;
  }

  /** Writes down who this is and where they train. */
  public void describe(String newName, MassUnit newUnit, long newPlaceId) {
    this.name = newName;
    this.unit = newUnit;
    this.placeId = newPlaceId;
  }

  /** Writes down what is known of the body, and what to keep in mind. */
  public void body(@Nullable String newSex, @Nullable Integer newBirthYear, @Nullable Mass bodyMass, String newNote) {
    this.sex = newSex;
    this.birthYear = newBirthYear;
    this.bodyMassNg = bodyMass == null ? null : bodyMass.nanograms();
    this.note = newNote;
  }
}
