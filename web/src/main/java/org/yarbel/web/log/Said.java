package org.yarbel.web.log;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.Chosen;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Mark;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.RepSpeeds;

/**
 * What is said of a set beside its figures; all of it may be left out.
 *
 * @param contexts in what state it was lifted; any of them makes it count less
 * @param words what else was off, at most 200 characters; empty where nobody said
 * @param gear what was worn; null where nobody said
 * @param marks what was seen of it
 * @param speeds how fast it moved; null where nobody measured it
 * @param did the key of the lift that was done in place of the one asked; null for the one that was asked
 * @param chosen which of the loads that were offered it is; null where there was one, or another was typed
 * @param pain where it hurt, for the check-in of the day; null where nobody said
 */
public record Said(Set<Context> contexts, String words, @Nullable Set<Gear> gear, List<Mark> marks, @Nullable RepSpeeds speeds,
    @Nullable String did, @Nullable Chosen chosen, @Nullable Pain pain) {
  /** Nothing is said. */
  public static final Said NOTHING = new Said(Set.of(), "", null, List.of(), null, null, null, null);

  public Said {
    contexts = set(contexts, Context.class);
    gear = gear == null ? null : set(gear, Gear.class);
    marks = List.copyOf(marks);
  }

  // in the order of the constants, whoever sends them
  private static <E extends Enum<E>> Set<E> set(Set<E> constants, Class<E> type) {
    EnumSet<E> all = EnumSet.noneOf(type);
    all.addAll(constants);
    return Collections.unmodifiableSet(all);
  }

  /** Only in what state it was lifted. */
  public static Said in(Context... contexts) {
    return contexts.length == 0 ? NOTHING : NOTHING.inStates(EnumSet.copyOf(Arrays.asList(contexts)));
  }

  /** The same in just these states. */
  public Said inStates(Set<Context> others) {
    return new Said(others, words, gear, marks, speeds, did, chosen, pain);
  }

  /** The same with just these pieces worn. */
  public Said wearing(@Nullable Set<Gear> pieces) {
    return new Said(contexts, words, pieces, marks, speeds, did, chosen, pain);
  }

  /** The same by one of the loads that were offered. */
  public Said choosing(@Nullable Chosen way) {
    return new Said(contexts, words, gear, marks, speeds, did, way, pain);
  }

  /** Whether it makes the set count less. */
  public boolean flagged() {
    return !contexts.isEmpty();
  }
}
