package org.yarbel.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.plan.Group;
import tools.jackson.databind.json.JsonMapper;

/** The groups of one session, by their numbers. */
public record Groups(List<Numbered> all) {
  private static final JsonMapper JSON = new JsonMapper();

  /**
   * A group.
   *
   * @param again the number of the group it does a second time; null for one of its own
   */
  public record Numbered(int number, Group group, @Nullable Integer again) {}

  public Groups {
    all = List.copyOf(all);
  }

  /** Reads what {@link #text()} writes. */
  public static Groups of(String text) {
    return new Groups(List.of(JSON.readValue(text, Numbered[].class)));
  }

  /** As it is stored. */
  public String text() {
    return JSON.writeValueAsString(all);
  }

  public Optional<Numbered> numbered(@Nullable Integer number) {
    return all.stream().filter(group -> number != null && group.number() == number).findFirst();
  }

  /** The definition of a group; one that is done again has that of the first. */
  public @Nullable Group group(@Nullable Integer number) {
    return numbered(number).map(found -> found.again() == null ? found.group()
        : numbered(found.again()).map(Numbered::group).orElse(found.group())).orElse(null);
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
    return new Groups(all.stream().filter(g -> g.number() != number && !Integer.valueOf(number).equals(g.again())).toList());
  }
}
