package org.yarbel.web.club;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Equipment;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.lift.Muscle;
import org.yarbel.core.lift.Pattern;
import org.yarbel.core.lift.Variation;
import org.yarbel.web.column.Names;

/** A lift that the club has added to the catalogue. */
@Entity
public class ClubLift extends ClubRow {
  private String liftKey = "";
  private String name = "";
  private @Nullable String parent;

  @Enumerated(EnumType.STRING)
  private Movement movement = Movement.OTHER;

  @Enumerated(EnumType.STRING)
  private Pattern pattern = Pattern.SQUAT;

  @Enumerated(EnumType.STRING)
  private Equipment equipment = Equipment.BAR;

  private boolean close;
  private @Nullable Double ratio;
  private @Nullable Double ratioSd;

  @Convert(converter = Names.OfMuscles.class)
  private Set<Muscle> muscles = Set.of();

  private String variation = "";
  private boolean retired;
  @Version private int version;

  protected ClubLift() {}

  ClubLift(Lift lift) {
    write(lift);
  }

  final void write(Lift lift) {
    this.liftKey = lift.key();
    this.name = lift.name();
    this.parent = lift.parent();
    this.movement = lift.movement();
    this.pattern = lift.pattern();
    this.equipment = lift.equipment();
    this.close = lift.close();
    this.ratio = lift.ratio() == null ? null : lift.ratio().percent();
    this.ratioSd = lift.ratio() == null ? null : lift.ratio().sd();
    this.muscles = Set.copyOf(lift.muscles());
    this.variation = lift.variation().toString();
  }

  void retire(boolean now) {
    this.retired = now;
  }

  boolean retired() {
    return retired;
  }

  String key() {
    return liftKey;
  }

  Lift lift() {
    Lift.Ratio share = ratio == null || ratioSd == null ? null : new Lift.Ratio(ratio, ratioSd);
    return new Lift(liftKey, name, parent, movement, pattern, equipment, Lift.Contest.NO, close, share, muscles,
        Variation.parse(variation));
  }
}
