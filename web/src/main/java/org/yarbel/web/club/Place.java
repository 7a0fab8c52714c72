package org.yarbel.web.club;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.util.UUID;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.column.CoreJson;

/** A place people train in; what it owns is one document. */
@Entity
public class Place extends ClubRow {
  private UUID ref = UUID.randomUUID();
  private String name = "";

  @Enumerated(EnumType.STRING)
  private MassUnit unit = MassUnit.KG;

  private String kit = "";
  @Version private int version;

  protected Place() {}

  Place(String name, PlaceKit kit, CoreJson json) {
    write(name, kit, json);
  }

  /** What it is known by, in records and outside of the database. */
  public UUID ref() {
    return ref;
  }

  /** What it is called. */
  public String name() {
    return name;
  }

  /** The place's own unit; it may own plates of both. */
  public MassUnit unit() {
    return unit;
  }

  /** Counts its changes, from 0. */
  public int version() {
    return version;
  }

  String document() {
    return kit;
  }

  final void write(String newName, PlaceKit newKit, CoreJson json) {
    this.name = newName;
    this.unit = newKit.unit();
    this.kit = json.write(newKit);
  }
}
