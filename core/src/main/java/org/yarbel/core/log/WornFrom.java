package org.yarbel.core.log;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.mass.Mass;

/**
 * A piece that is normally worn for a lift, from a load on.
 *
 * @param from the load it goes on at; null for the first one
 */
public record WornFrom(Gear gear, @Nullable Mass from) {
  /** What is normally worn at a load. */
  public static Set<Gear> at(List<WornFrom> normal, @Nullable Mass load) {
    Set<Gear> worn = EnumSet.noneOf(Gear.class);
    normal.stream().filter(piece -> piece.from() == null || load != null && load.compareTo(piece.from()) >= 0).map(WornFrom::gear)
        .forEach(worn::add);
    return worn;
  }

  /**
   * The state of a set by what is said to have been worn: where a belt goes on at its load, it says whether it is missing, whatever
   * was said of it before.
   *
   * @param contexts as they were said
   */
  public static Set<Context> contexts(List<WornFrom> normal, Mass load, Set<Gear> worn, Set<Context> contexts) {
    Set<Context> all = EnumSet.noneOf(Context.class);
    all.addAll(contexts);
    if (at(normal, load).contains(Gear.BELT)) {
      all.remove(Context.NO_BELT);
      if (!worn.contains(Gear.BELT)) {
        all.add(Context.NO_BELT);
      }
    }
    return all;
  }
}
