package org.yarbel.core.watch;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.yarbel.core.card.Role;
import org.yarbel.core.plan.CountedLine;
import org.yarbel.core.plan.WeekTotals;
import org.yarbel.core.plan.Zone;

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
      Map<String, List<CountedLine>> families = lines.stream().map(WatchedLine::counted).filter(line -> line.kind().mainWork() && line.mainOrClose())
          .collect(Collectors.groupingBy(line -> line.head().key(), TreeMap::new, Collectors.toList()));
      families.forEach((lift, family) -> WeekTotals.zones(family).forEach((zone, reps) -> {
        if (reps > zone.most() && zone != Zone.UNDER_70 && said.add(lift + zone)) {
          findings.add(finding(day, family, zone, reps));
        }
      }));
    });
    return findings;
  }

  /** Said once a week of a lift and a zone: the days after are alike. */
  private Finding finding(LocalDate day, List<CountedLine> family, Zone zone, double reps) {
    boolean dense = family.stream().flatMap(line -> line.work().stream()).map(set -> set.set().role()).anyMatch(role -> role == Role.CLUSTER || role == Role.DENSITY);
    String lift = family.get(0).head().key();
    return on(dense ? Severity.NOTE : Severity.DOUBT, day, lift, family.get(0).head().name() + " on " + Words.day(day) + ": " + Math.round(reps) + " reps at "
        + zone.word() + " %, where a session bears " + zone.fewest() + "–" + zone.most() + " (best " + zone.best() + ")."
        + (dense ? " Clusters and density work exceed it by design." : ""));
  }
}
