package org.yarbel.web.club;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import java.time.ZoneId;
import org.yarbel.core.mass.MassUnit;

/** A club. Its zone decides what day it is. */
@Entity
public class Club {
  @Id private long id;
  private String name = "";
  private String zone = "UTC";

  @Enumerated(EnumType.STRING)
  private MassUnit unit = MassUnit.KG;

  private int clipQuotaMb = 5_120;
  private int clipDays = 365;

  protected Club() {}

  public Club(long id, String name, ZoneId zone, MassUnit unit) {
    this.id = id;
    this.name = name;
    this.zone = zone.getId();
    this.unit = unit;
  }

  /** The row of the club, which every row of it names. */
  public long id() {
    return id;
  }

  /** How much room its clips have, in MB of 2^20 bytes. */
  public int clipQuotaMb() {
    return clipQuotaMb;
  }

  /** For how many days its clips are kept. */
  public int clipDays() {
    return clipDays;
  }

  /** Gives clips so much room, for so many days. */
  public void clips(int quotaMb, int days) {
    this.clipQuotaMb = quotaMb;
    this.clipDays = days;
  }

  /** What it is called. */
  public String name() {
    return name;
  }

  /** The zone its days are of. */
  public ZoneId zone() {
    return ZoneId.of(zone);
  }

  /** The unit its lifters begin with. */
  public MassUnit unit() {
    return unit;
  }
}
