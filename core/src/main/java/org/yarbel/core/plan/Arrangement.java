package org.yarbel.core.plan;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;

/**
 * How the lines of a session stand together, such as 'row and plank by turns, then the squat, then both again as cool-down'.
 * It knows neither what the lines say nor what was lifted of them. A line that does another one a second time stands where the
 * group of its first one is done again, and goes with it: it is never moved by itself. Common practice, no source.
 *
 * @param lines in the order they are done
 */
public record Arrangement(List<Line> lines, Groups groups) {
  /**
   * One line.
   *
   * @param ref what it is known by
   * @param group the number of its group; null for a line by itself
   * @param again the line it does a second time; null for one of its own
   */
  public record Line(UUID ref, SlotKind kind, @Nullable Integer group, @Nullable UUID again) {
    /** The same line in another group, or in none. */
    public Line in(@Nullable Integer other) {
      return new Line(ref, kind, other, again);
    }

    /** Whether it is a line of its own, and not another's second time. */
    public boolean own() {
      return again == null;
    }
  }

  public Arrangement {
    lines = List.copyOf(lines);
  }

  /** A line of this arrangement. */
  public Line line(UUID ref) {
    return lines.stream().filter(line -> line.ref().equals(ref)).findFirst()
        .orElseThrow(() -> new NoSuchElementException("The arrangement has no line " + ref));
  }

  /** The lines of a group, in order. */
  public List<Line> members(int number) {
    return lines.stream().filter(line -> line.group() != null && line.group() == number).toList();
  }

  /** The line just above one of its own; empty for the first. */
  public Optional<Line> above(UUID ref) {
    List<Line> order = own();
    int at = at(order, ref);
    return at < 1 ? Optional.empty() : Optional.of(order.get(at - 1));
  }

  /** Moves a line by so many places, beyond the ends to the end; empty where it stands there already. */
  public Optional<Arrangement> moved(UUID ref, int by) {
    List<Line> order = own();
    int at = at(order, ref);
    int to = (int) Math.min(Math.max((long) at + by, 0), order.size() - 1L);
    return to == at ? Optional.empty() : Optional.of(moved(order, at, to));
  }

  /** Moves a line to stand before another, null for the end; empty where it stands there already. */
  public Optional<Arrangement> movedBefore(UUID ref, @Nullable UUID other) {
    List<Line> order = own();
    int at = at(order, ref);
    int before = other == null ? order.size() : at(order, other);
    int to = before > at ? before - 1 : before;
    return to == at ? Optional.empty() : Optional.of(moved(order, at, to));
  }

  /** Between two lines of a group it joins them; away from its group it leaves. */
  private Arrangement moved(List<Line> order, int at, int to) {
    Line line = order.remove(at);
    Integer above = to == 0 ? null : order.get(to - 1).group();
    Integer below = to == order.size() ? null : order.get(to).group();
    boolean stays = line.group() != null && (line.group().equals(above) || line.group().equals(below));
    Integer kept = stays ? line.group() : null;
    order.add(to, line.in(above != null && above.equals(below) ? above : kept));
    return ordered(order, groups);
  }

  /** Lets a line be done by turns with the one above it; empty where none is above. */
  public Optional<Arrangement> joined(UUID ref) {
    Optional<Line> found = above(ref);
    if (found.isEmpty()) {
      return Optional.empty();
    }
    Line above = found.get();
    int number = above.group() == null ? groups.free() : above.group();
    Groups then = groups;
    if (above.group() == null) {
      then = groups.with(new Groups.Numbered(number, Group.ofLines(2), null));
    } else if (members(number).size() == 2 && groups.numbered(number).filter(g -> g.group().equals(Group.ofLines(2))).isPresent()) {
      then = groups.with(new Groups.Numbered(number, Group.ofLines(3), null));
    }
    return Optional.of(new Arrangement(lines.stream().map(line -> line.ref().equals(ref) || line.equals(above) ? line.in(number)
        : line).toList(), then));
  }

  /** Lets a line be done by itself: out of the middle it goes behind the group, so that the others stay together. */
  public Optional<Arrangement> left(UUID ref) {
    List<Line> order = own();
    int at = at(order, ref);
    Line line = order.get(at);
    Integer group = line.group();
    if (group == null) {
      return Optional.empty();
    }
    boolean first = at == 0 || !group.equals(order.get(at - 1).group());
    order.remove(at);
    int behind = at;
    while (!first && behind < order.size() && group.equals(order.get(behind).group())) {
      behind++;
    }
    order.add(behind, line.in(null));
    return Optional.of(ordered(order, groups));
  }

  /** The same with other rounds, rests or clock of a group. */
  public Arrangement with(int number, Group group) {
    return new Arrangement(lines, groups.with(new Groups.Numbered(number, group, null)));
  }

  /** Does a group a second time at the end of the session; empty where it is done twice already, or is a second time itself. */
  public Optional<Arrangement> again(int number, SlotKind kind) {
    Optional<Groups.Numbered> first = groups.numbered(number);
    if (first.isEmpty() || first.get().again() != null || groups.twice(number)) {
      return Optional.empty();
    }
    int second = groups.free();
    List<Line> all = new ArrayList<>(lines);
    members(number).forEach(line -> all.add(second(line, kind, second)));
    return Optional.of(new Arrangement(all, groups.with(new Groups.Numbered(second, first.get().group(), number))));
  }

  /** Takes a group apart; where it is done a second time, that goes. */
  public Arrangement dissolved(int number) {
    return new Arrangement(lines.stream().filter(line -> line.own() || line.group() == null || line.group() != number)
        .map(line -> line.group() != null && line.group() == number ? line.in(null) : line).toList(), groups.without(number));
  }

  /**
   * The same in order: a group of one line is none, what does a line again that is gone or in no such group goes with it, lines
   * that joined a group which is done twice are done twice too, and what is done again stands at the end.
   *
   * @param begun lines of which something was lifted: they stay, whatever became of their first one
   */
  public Arrangement settled(Predicate<UUID> begun) {
    Arrangement without = withoutGroupsOfOne();
    Map<UUID, Line> byRef = new HashMap<>();
    without.lines.forEach(line -> byRef.put(line.ref(), line));
    List<Line> order = without.own();
    without.lines.stream().filter(line -> !line.own() && (without.stands(line, byRef.get(line.again())) || begun.test(line.ref())))
        .forEach(order::add);
    for (Groups.Numbered second : without.groups.all()) {
      if (second.again() != null) {
        SlotKind kind = order.stream().filter(line -> Objects.equals(line.group(), second.number())).findFirst().map(Line::kind)
            .orElse(SlotKind.COOL_DOWN);
        List<Line> firsts = order.stream().filter(line -> second.again().equals(line.group())).toList();
        firsts.stream().filter(first -> order.stream().noneMatch(line -> first.ref().equals(line.again())))
            .map(first -> second(first, kind, second.number())).toList().forEach(order::add);
      }
    }
    return new Arrangement(order, without.groups);
  }

  private boolean stands(Line line, @Nullable Line first) {
    return first != null && groups.numbered(line.group()).filter(own -> own.again() != null && own.again().equals(first.group()))
        .isPresent();
  }

  private Arrangement withoutGroupsOfOne() {
    Groups left = groups;
    for (Groups.Numbered group : groups.all()) {
      if (group.again() == null && members(group.number()).size() < 2) {
        left = left.without(group.number());
      }
    }
    Groups stand = left;
    return new Arrangement(lines.stream().map(line -> line.own() && stand.numbered(line.group()).isEmpty() ? line.in(null) : line)
        .toList(), stand);
  }

  /** The second time of a line; it is known by what it does again, so that it is the same one when it comes back. */
  private static Line second(Line first, SlotKind kind, int group) {
    UUID ref = UUID.nameUUIDFromBytes((first.ref() + " again in " + group).getBytes(StandardCharsets.UTF_8));
    return new Line(ref, kind, group, first.ref());
  }

  /** The lines of their own, in their order. */
  private List<Line> own() {
    return new ArrayList<>(lines.stream().filter(Line::own).toList());
  }

  private Arrangement ordered(List<Line> order, Groups with) {
    List<Line> all = new ArrayList<>(order);
    lines.stream().filter(line -> !line.own()).forEach(all::add);
    return new Arrangement(all, with);
  }

  private static int at(List<Line> order, UUID ref) {
    for (int i = 0; i < order.size(); i++) {
      if (order.get(i).ref().equals(ref)) {
        return i;
      }
    }
    throw new NoSuchElementException("The arrangement has no line of its own " + ref);
  }
}
