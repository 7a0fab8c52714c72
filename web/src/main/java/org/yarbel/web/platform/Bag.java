package org.yarbel.web.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Gear;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.lifter.Lifter;

/**
 * What to bring, by the rules and what the lifter usually wears.
 *
 * @param forbidden what stays at home, and what else the rules say; null for nothing
 */
public record Bag(List<Thing> things, @Nullable String forbidden) {
  /** What belongs into a bag beside what is worn. Common practice, no source. */
  private static final List<String> STRONGMAN = List.of("chalk", "tacky", "food and water");
  private static final List<String> POWERLIFTING = List.of("singlet", "long socks", "chalk", "food and water");

  /** One thing. */
  public record Thing(String key, String words, boolean packed) {}

  static Bag of(Day day, ContestAthlete athlete) {
    Lifter lifter = day.lifter(athlete);
    Set<Gear> usual = lifter == null ? Set.of() : lifter.gear();
    Set<Gear> allowed = day.contest().said().rules().allowed();
    Set<String> packed = athlete.prepared().packed();
    List<Thing> things = new ArrayList<>();
    new TreeSet<>(usual).stream().filter(gear -> allowed.contains(gear) && !gear.grip())
        .forEach(gear -> things.add(new Thing(gear.name(), gear.word(), packed.contains(gear.name()))));
    (day.strongman() ? STRONGMAN : POWERLIFTING).forEach(thing -> things.add(new Thing(thing, thing, packed.contains(thing))));
    String stays = day.contest().said().rules().forbids(usual).stream().map(Gear::word).collect(Collectors.joining(", "));
    String said = day.contest().said().further();
    String words = (stays.isEmpty() ? "" : "Stays at home: " + stays + ". ") + (said.isEmpty() ? "" : "The rules say: " + said);
    return new Bag(things, words.isEmpty() ? null : words.strip());
  }
}
