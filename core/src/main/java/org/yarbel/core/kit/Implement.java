package org.yarbel.core.kit;

import org.yarbel.core.lift.Equipment;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * An implement of strongman, such as 'Log, 60 kg empty, takes plates' or 'Stone, 120 kg'.
 *
 * @param kind one of the implements of {@link Equipment}
 * @param empty its own mass without plates, over 0 to 1000 kg; of a farmers handle, of one
 * @param plateLoaded whether plates go on
 */
public record Implement(Equipment kind, String name, Mass empty, boolean plateLoaded) {
  private static final Mass MOST = Mass.of("1000", MassUnit.KG);

  public Implement {
    if (!kind.implement()) {
      throw new Refused("A " + kind.word() + " is no implement of strongman");
    }
    if (name.isBlank() || name.length() > 60) {
      throw new Refused("The name of an implement must have 1 to 60 characters");
    }
    if (empty.isZero() || empty.compareTo(MOST) > 0) {
      throw new Refused("An implement must be over 0 and at most 1000 kg but was " + empty.text());
    }
    if (plateLoaded && empty.compareTo(Mass.of("500", MassUnit.KG)) > 0) {
      throw new Refused("An implement that takes plates must be at most 500 kg but was " + empty.text());
    }
  }
}
