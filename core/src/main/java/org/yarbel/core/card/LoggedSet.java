package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.WorkLine;

/**
 * What was done of one set of a line.
 *
 * @param part the part of the line, from 1
 * @param set the set of the part, from 1
 * @param reps good reps made, 0 for a miss
 * @param rpe null when it was not rated
 */
public record LoggedSet(int part, int set, Mass load, int reps, @Nullable Rpe rpe) {
  /** A set of a line, by its part and its place in the part, both from 1. */
  public record Place(int part, int set) {}

  /** Which set of the line it is. */
  public Place place() {
    return new Place(part, set);
  }

  /** The places of all the sets of a line, in the order they are lifted. */
  public static List<Place> places(WorkLine line) {
    List<Place> places = new ArrayList<>();
    for (int part = 1; part <= line.parts().size(); part++) {
      int sets = line.parts().get(part - 1).work().sets();
      for (int set = 1; set <= sets; set++) {
        places.add(new Place(part, set));
      }
    }
    return places;
  }
}
