package org.yarbel.web.support;

import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.account.Owner;
import org.yarbel.web.account.Role;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.lifter.LifterService;

/**
 * A club of its own with something in every table: two lifters, their weeks, a group, a contest, a template, a method, a check
 * that is silent. What is tried on it touches nobody else.
 *
 * @param lifters the ids of its two lifters; the first signs in
 */
public record House(TestApp app, long clubId, String name, List<Long> lifters) {
  /** Builds one. */
  public static House called(TestApp app, String name) {
    Owner owner = app.bean(Owner.class);
    long clubId = owner.newClubId();
    owner.create(clubId, new Owner.Beginning(name, ZoneOffset.UTC, PlaceKit.of(Kit.standard(MassUnit.KG)), "Coach of " + name, coachOf(name), "tarnbrook-demo"));
    List<Long> lifters = app.bean(CurrentClub.class).within(clubId, () -> {
      long place = app.bean(Places.class).all().get(0).id();
      List<Long> made = new ArrayList<>();
      for (String who : List.of("One", "Two")) {
        Lifter lifter = app.bean(LifterRepository.class).saveAndFlush(new Lifter(who + " of " + name, MassUnit.KG, place));
        for (String lift : List.of("squat", "bench")) {
          LiftNumbers own = new LiftNumbers(lifter.id(), lift);
          own.decide(Level.INTERMEDIATE, Basis.ESTIMATED);
          own.test(Mass.of("150", MassUnit.KG), TestApp.TODAY);
          app.bean(LiftNumbersRepository.class).saveAndFlush(own);
          app.bean(LifterService.LiftTracker.class).rerun(lifter, lift);
        }
        made.add(lifter.id());
      }
      return made;
    });
    app.bean(Accounts.class).add(clubId, lifterOf(name), "tarnbrook-demo", "One of " + name, Role.LIFTER, lifters.get(0));
    House house = new House(app, clubId, name, lifters);
    house.furnish();
    house.assertFurnished();
    return house;
  }

  private static String coachOf(String name) {
    return name.toLowerCase(java.util.Locale.ROOT) + "@coach.example";
  }

  private static String lifterOf(String name) {
    return name.toLowerCase(java.util.Locale.ROOT) + "@lifter.example";
  }

  public Client coach() {
    return Client.of(app, coachOf(name));
  }

  public Client lifter() {
    return Client.of(app, lifterOf(name));
  }

  private void furnish() {
    Client coach = coach();
    for (long lifter : lifters) {
      String at = "/lifters/" + lifter;
      for (int day = 0; day < 5; day += 2) {
        for (String work : List.of("1x1 @8; 4x4 -15%", "5x5 100kg")) {
          coach.post(at + "/days/" + TestApp.TODAY.plusDays(day) + "/slots", Map.of("kind", "MAIN", "lift", "Squat", "work", work));
        }
      }
      coach.post(at + "/weigh-ins", Map.of("mass", "82.5", "on", TestApp.TODAY.toString(), "weighed", "82.5"));
      coach.post(at + "/complaints", Map.of("region", "knee", "severity", "3", "since", TestApp.TODAY.toString()));
      coach.post(at + "/sets", Map.of("lift", "squat", "load", "140", "reps", "3", "how", "8", "on", TestApp.TODAY.minusDays(9).toString(), "toldIn", "KG"));
      coach.post(at + "/silences", Map.of("check", "milestone", "reason", "known"));
      coach.post(at + "/progressions", Map.of("lift", "bench", "method", "ladder", "starts", TestApp.TODAY.toString(), "days", "MONDAY", "turn", "EVERY"));
      coach.post(at + "/calendar", Map.of());
      long session = sessionsOf(lifter).get(0);
      coach.post("/sessions/" + session + "/issue", Map.of());
      coach.post("/sessions/" + session + "/sets", Map.of("key", java.util.UUID.randomUUID().toString(), "slot", Long.toString(slotsOf(lifter).get(0)), "part", "1",
          "set", "1", "issue", "1", "seen", "-1", "load", "125", "reps", "1", "outcome", "done"));
      coach.post("/slots/" + slotsOf(lifter).get(3) + "/join", Map.of());
    }
    coach.post("/groups", Map.of("name", "Both", "member", Long.toString(lifters.get(0))));
    coach.post("/contests", Map.of("name", "Spring Open", "sport", "POWERLIFTING", "state", "PLANNED", "day", TestApp.TODAY.plusWeeks(9).toString(), "rules", "CLASSIC"));
    coach.post("/library/keep", Map.of("lifter", Long.toString(lifters.get(0)), "of", TestApp.TODAY.toString(), "day", TestApp.TODAY.toString(), "name", "A day"));
    coach.post("/lifts", Map.of("name", "Own squat", "parent", "squat", "movement", "SQUAT"));
  }

  /** A table in which nothing stands tells nothing when it stays as it was. */
  private void assertFurnished() {
    for (String table : List.of("lifter", "training_session", "slot", "logged_set", "card_issue", "lifter_group", "contest", "template", "progression", "silence",
        "complaint", "weigh_in", "calendar_feed", "club_lift", "change")) {
      if (ids(table).isEmpty()) {
        throw new IllegalStateException("Nothing stands in " + table);
      }
    }
  }

  public List<Long> sessionsOf(long lifter) {
    return app.jdbc().sql("select id from training_session where lifter_id = :l order by day").param("l", lifter).query(Long.class).list();
  }

  public List<Long> slotsOf(long lifter) {
    return app.jdbc().sql("select s.id from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l order by t.day, s.position").param("l", lifter)
        .query(Long.class).list();
  }

  /** Every id of the club in a table. */
  public List<Long> ids(String table) {
    return app.jdbc().sql("select id from " + table + " where club_id = :c order by id limit 40").param("c", clubId).query(Long.class).list();
  }

  /** What stands in every table of clubs, by table: rows of other clubs, or of all. */
  public static Map<String, String> tables(JdbcClient jdbc, Long butClub) {
    List<String> names = jdbc.sql("select table_name from information_schema.columns where table_schema = 'public' and column_name = 'club_id' and table_name not in "
        + "('sign_in', 'known_device', 'form_once', 'demo_week') order by 1").query(String.class).list();
    Map<String, String> found = new TreeMap<>();
    for (String table : names) {
      found.put(table, jdbc.sql("select count(*) || ' ' || coalesce(md5(string_agg(t::text, '|' order by t::text)), '') from " + table + " t"
          + (butClub == null ? "" : " where club_id <> " + butClub)).query(String.class).single());
    }
    return new HashMap<>(found);
  }
}
