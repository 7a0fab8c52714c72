package org.yarbel.core.watch;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.yarbel.core.card.Role;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.Zone;
import org.yarbel.core.plan.progress.Method;

/** More reps in a zone of intensity than a session bears. */
final class ZoneLimit implements Check {
  @Override
  public String key() {
    return "zone-limit";
  }

  @Override
  public String title() {
    return "more reps in a zone than the classic table";
  }

  @Override
  public String source() {
    return "Prilepin's table, from memory; 90 % and over is given as 4–10.";
  }

  @Override
  public List<Finding> look(WatchedWeek week) {
    List<Finding> findings = new ArrayList<>();
    Set<String> said = new HashSet<>();
    week.byDay().forEach((day, lines) -> {
      Map<String, List<WatchedLine>> families = lines.stream().filter(line -> line.counted().kind().mainWork()
              && line.counted().mainOrClose() && !line.forecast())
          .collect(Collectors.groupingBy(line -> line.counted().head().key(), TreeMap::new, Collectors.toList()));
      families.forEach((lift, family) -> WeekTotals.zones(family.stream().map(WatchedLine::counted).toList()).forEach((zone, reps) -> {
        String design = design(family, zone);
        if (reps > zone.most() && said.add(design.isEmpty() ? lift + zone : design)) {
          findings.add(on(design.isEmpty() && zone != Zone.UNDER_70 ? Severity.DOUBT : Severity.NOTE, day, lift,
              family.get(0).counted().head()
              .name() + " on " + Words.day(day) + ": " + Math.round(reps)
              + " reps at " + zone.word() + ", where a session bears " + zone.fewest() + "–" + zone.most() + " (best " + zone.best() + ")."
                  + design));
        }
      }));
    });
    return findings;
  }

  /** What exceeds the table by design is said once a week; the rest once of a lift and a zone. */
  private static String design(List<WatchedLine> family, Zone zone) {
    boolean dense = family.stream().flatMap(line -> line.counted().work().stream()).map(set -> set.set().role())
        .anyMatch(role -> role == Role.CLUSTER || role == Role.DENSITY);
    boolean method = zone != Zone.FROM_90 && family.stream().allMatch(WatchedLine::byMethod);
    boolean novice = zone != Zone.FROM_90 && family.stream().anyMatch(line -> line.method() == Method.NOVICE_LINEAR);
    if (dense) {
      return " Clusters and density work exceed it by design.";
    }
    if (novice) {
      return " Sets of five on the novice line exceed it by design.";
    }
    return method ? " The method writes it so by design." : "";
  }
}
