package org.yarbel.web.demo;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.Place;
import org.yarbel.web.club.Places;
import org.yarbel.web.group.GroupBoards;
import org.yarbel.web.library.Library;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;

/** Fills the demo club: plans for two weeks to come, and logs of the weeks behind from simulated lifters. */
@Service
class DemoClub {
  static final String PASSWORD = "tarnbrook-demo";
  static final String DOMAIN = "@tarnbrook.example";
  private static final long SEED = 20_260;

  private final Places places;
  private final LifterRepository lifters;
  private final DemoPeople people;
  private final DemoTraining training;
  private final DemoContests contests;
  private final GroupBoards groups;
  private final Library library;
  private final DemoSaid said;
  private final DemoDay day;
  private final EntityManager entities;

  DemoClub(Places places, LifterRepository lifters, DemoPeople people, DemoTraining training, DemoContests contests,
      GroupBoards groups, Library library, DemoSaid said, DemoDay day, EntityManager entities) {
    this.day = day;
    this.places = places;
    this.lifters = lifters;
    this.people = people;
    this.training = training;
    this.contests = contests;
    this.groups = groups;
    this.library = library;
    this.said = said;
    this.entities = entities;
  }

  /** Fills a club that has its first place. */
  @Transactional
  public void fill(long clubId, LocalDate today) {
    Map<MassUnit, Place> byUnit = new HashMap<>();
    byUnit.put(MassUnit.KG, places.all().get(0));
    byUnit.put(MassUnit.LB, places.add("Old loft (pounds)", DemoKit.loft()));
    contests.make(today);
    long seed = SEED;
    for (DemoProgram program : DemoPrograms.all()) {
      fill(clubId, new DemoLifter(program, byUnit.get(program.unit()), today, seed++));
    }
    Map<String, Lifter> byName = lifters.findAll().stream()
        .collect(Collectors.toMap(lifter -> lifter.name().split(" ")[0], lifter -> lifter));
    said.say(clubId, lifters.findAll(), today);
    groups.save(null, "Evening group", Set.of(byName.get("Odile").id(), byName.get("Leopold").id(), byName.get("Emeric").id()));
    LocalDate monday = Macrocycle.monday(today);
    people.staff(clubId, List.of(byName.get("Odile"), byName.get("Leopold"), byName.get("Emeric")));
    library.keepWeeks(byName.get("Odile"), monday, 1, "RPE week with technique on Sunday");
    library.keepWeeks(byName.get("Brannoc"), monday, 2, "Two event weeks with a medley");
    entities.flush();
    day.make(clubId, today, byName);
  }

  /** Takes one on and lets them train. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void fill(long clubId, DemoLifter one) {
    people.takeOn(one, clubId);
    contests.set(one.lifter(), one.program().email(), one.today());
    training.train(one, () -> {
      entities.flush();
      entities.clear();
      people.again(one);
    });
    entities.flush();
    entities.clear();
  }

  /** The zone the demo club lives in. */
  static ZoneId zone() {
    return ZoneOffset.UTC;
  }
}
