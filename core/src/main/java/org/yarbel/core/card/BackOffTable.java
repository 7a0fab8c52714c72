package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.Part;

/**
 * What the sets of one part become for every load its reference may come out at, worked out by the resolver when the
 * card is issued, so that a phone without a network looks it up.
 *
 * @param part the part of the line, from 1
 * @param each whether the reference of a set is the set before it (of the first set the top set); else always the top
 * @param rows one for every load that the kit makes within 20 % of the planned top set and for each warm-up, rising
 */
public record BackOffTable(int part, boolean each, List<Row> rows) {
  /** How far from the planned top set the table reaches, both ways. */
  public static final double REACH = 0.2;

  /** The reference came out at this load; then lift that. */
  public record Row(Mass reference, Loading then) {}

  public BackOffTable {
    rows = List.copyOf(rows);
  }

  /** The tables of all parts of a line that hang on a logged set; none for sets that go on no bar. */
  public static List<BackOffTable> of(Resolver.Request request) {
    ResolvedLine planned = Resolver.resolve(request.withLogged(List.of()));
    List<Part> parts = request.line().line().parts();
    List<BackOffTable> tables = new ArrayList<>();
    for (int number = 1; number <= parts.size(); number++) {
      if (PlannedTop.hangs(parts.get(number - 1)) && request.loadables() != null) {
        boolean each = parts.get(number - 1).load() instanceof Load.Drop drop && drop.each();
        tables.add(new BackOffTable(number, each, rows(request, planned, number, each)));
      }
    }
    return tables;
  }

  private static List<Row> rows(Resolver.Request request, ResolvedLine planned, int part, boolean each) {
    Loadables loadables = Objects.requireNonNull(request.loadables());
    ResolvedSet top = PlannedTop.before(planned.sets(), part).orElseThrow();
    Mass load = Objects.requireNonNull(top.load());
    Mass least = planned.sets().stream()
        .filter(s -> each && s.part() == part && s.load() != null)
        .map(s -> Objects.requireNonNull(s.load()))
        .min(Mass::compareTo)
        .orElse(load);
    // any warm-up may be declared the top set
    Stream<Mass> warmUps = planned.ramp().stream().map(RampStep::load);
    Stream<Mass> near = loadables.between(least.scaled(1 - REACH), load.scaled(1 + REACH)).stream().map(Loading::total);
    List<Row> rows = new ArrayList<>();
    for (Mass reference : Stream.concat(warmUps, near).distinct().sorted().toList()) {
      LoggedSet logged = new LoggedSet(top.part(), top.set(), reference, 1, null);
      Resolver.resolve(request.withWarmUp(null).withLogged(List.of(logged))).sets().stream()
          .filter(s -> s.part() == part && s.load() != null)
          .findFirst()
          .ifPresent(s -> rows.add(new Row(reference,
              new Loading(Objects.requireNonNull(s.load()), s.perSide() == null ? List.of() : s.perSide()))));
    }
    return rows;
  }
}
