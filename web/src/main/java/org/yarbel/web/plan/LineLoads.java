package org.yarbel.web.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.mass.Mass;

/** The loads of a line as a person reads them: {@code 182.5}, then {@code 155 ×4}. */
public final class LineLoads {
  private LineLoads() {}

  /** The loads of each part; several equal ones once, with their number. */
  public static List<String> of(ResolvedLine line) {
    List<String> parts = new ArrayList<>();
    int last = line.sets().isEmpty() ? 0 : line.sets().get(line.sets().size() - 1).part();
    for (int part = 1; part <= last; part++) {
      int number = part;
      parts.add(part(line.sets().stream().filter(s -> s.part() == number).toList()));
    }
    return parts;
  }

  private static String part(List<ResolvedSet> sets) {
    List<String> loads = sets.stream().map(LineLoads::load).toList();
    ResolvedSet last = sets.get(sets.size() - 1);
    String end = last.role() == Role.PLUS ? "+" : "";
    boolean equal = loads.stream().distinct().count() == 1;
    String text = equal && loads.size() > 1 ? loads.get(0) + " ×" + loads.size() : loads.stream().collect(Collectors.joining(" "));
    ResolvedSet.Ends ends = last.ends();
    String swing = ends == null ? "" : " (" + ends.bottom().number() + " to " + ends.top().number() + ")";
    return text + end + swing;
  }

  private static String load(ResolvedSet set) {
    Mass load = set.load();
    return load == null ? "lifter picks" : load.number() + (set.role() == Role.OPEN ? "+" : "");
  }
}
