package org.yarbel.core.log;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;

/**
 * What a lifter normally wears, and from which load on in the lifts of a family.
 *
 * @param pieces all that is worn at all
 * @param from where a piece does not go on with the first load
 */
public record NormalGear(Set<Gear> pieces, List<From> from) {
  /** Nothing. */
  public static final NormalGear NONE = new NormalGear(Set.of(), List.of());

  /** A piece goes on at a load in the lifts of a family. */
  public record From(Gear gear, Movement movement, Mass load) {}

  public NormalGear {
    pieces = Set.copyOf(pieces);
    from = List.copyOf(from);
  }

  /** What is normal for a lift, in the order of the pieces. */
  public List<WornFrom> of(Lift lift) {
    return pieces.stream().filter(piece -> piece.serves(lift)).sorted(Comparator.naturalOrder())
        .map(piece -> new WornFrom(piece, from.stream().filter(one -> one.gear() == piece && one.movement() == lift.movement())
            .map(From::load).findFirst().orElse(null))).toList();
  }
}
