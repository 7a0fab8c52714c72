package org.yarbel.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The groups of one session, by their numbers, such as '1: a superset of three rounds; 2: the same a second time'. */
public record Groups(List<Numbered> all) {
  /** No groups: each line by itself. */
  public static final Groups NONE = new Groups(List.of());

  /**
   * A group.
   *
   * @param number in its session, from 1
   * @param again the number of the group it does a second time; null for one of its own
   */
  public record Numbered(int number, Group group, @Nullable Integer again) {}

  public Groups {
    all = List.copyOf(all);
  }

  /** The group of a number; empty for none, and for null. */
  public Optional<Numbered> numbered(@Nullable Integer number) {
    return all.stream().filter(group -> number != null && group.number() == number).findFirst();
  }

  /** The definition of a group; one that is done again has that of the first. */
  public @Nullable Group group(@Nullable Integer number) {
    return numbered(number).map(found -> found.again() == null ? found.group()
        : numbered(found.again()).map(Numbered::group).orElse(found.group())).orElse(null);
  }

  /** How often a line of a group is gone through: once without a group, or where the group says nothing of it. */
  public int rounds(@Nullable Integer number) {
    Group group = group(number);
    return group == null || group.rounds() == null ? 1 : group.rounds();
  }

  /** Whether a group is done a second time. */
  public boolean twice(int number) {
    return all.stream().anyMatch(group -> group.again() != null && group.again() == number);
  }

  /** A number no group has. */
  public int free() {
    return all.stream().mapToInt(Numbered::number).max().orElse(0) + 1;
  }

  /** The same with a group added or changed. */
  public Groups with(Numbered group) {
    List<Numbered> others = new ArrayList<>(all.stream().filter(other -> other.number() != group.number()).toList());
    others.add(group);
    return new Groups(others);
  }

  /** The same without a group and without what does it again. */
  public Groups without(int number) {
    return new Groups(all.stream().filter(g -> g.number() != number && (g.again() == null || g.again() != number)).toList());
  }
}
