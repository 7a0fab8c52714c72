package org.yarbel.web.support;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.account.Owner;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.lifter.LifterService;
import org.yarbel.web.who.Role;

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
    owner.create(clubId, new Owner.Beginning(name, ZoneOffset.UTC, PlaceKit.of(Kit.standard(MassUnit.KG)), "Coach of " + name,
        coachOf(name), "tarnbrook-demo"));
    List<Long> lifters = app.bean(CurrentClub.class).within(clubId, () -> {
      long place = app.bean(Places.class).all().get(0).id();
      List<Long> made = new ArrayList<>();
      for (String who : List.of("One", "Two")) {
        Lifter free = new Lifter(who + " of " + name, MassUnit.KG, place);
        free.life(null, null, null, EnumSet.allOf(DayOfWeek.class));
        Lifter lifter = app.bean(LifterRepository.class).saveAndFlush(free);
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
    return name.toLowerCase(Locale.ROOT) + "@coach.example";
  }

  private static String lifterOf(String name) {
    return name.toLowerCase(Locale.ROOT) + "@lifter.example";
  }

  public Client coach() {
    return Client.of(app, coachOf(name));
  }

  public Client lifter() {
    return Client.of(app, lifterOf(name));
  }

  /** How its people sign in, to be put back by {@link #reopen}. */
  public List<Map<String, Object>> accounts() {
    return app.jdbc().sql("select a.id, a.person_id, a.role, p.email, p.password_hash, a.disabled from account a join person p on p.id = "
        + "a.person_id where a.club_id = :club").param("club", clubId).query().listOfRows();
  }

  /** Lets everybody sign in as before, whatever was done to their accounts. */
  public void reopen(List<Map<String, Object>> before) {
    before.forEach(account -> {
      app.jdbc().sql("update person set email = :email, password_hash = :password_hash, code_secret = null where id = :person_id")
          .params(account).update();
      app.jdbc().sql("update account set disabled = :disabled, role = :role where club_id = :club and id = :id").param("club", clubId)
          .params(account).update();
    });
  }

  /** An open invitation, a letter and a line of the record stand in it too. */
  private void invite(Client coach) {
    write(coach, "/people/invitations", Map.of("role", "LIFTER", "lifter", Long.toString(lifters.get(1)), "email", "two@" + name.toLowerCase(Locale.ROOT) + ".example"));
  }

  private void furnish() {
    Client coach = coach();
    for (long lifter : lifters) {
      String at = "/lifters/" + lifter;
      for (int day = 0; day < 5; day += 2) {
        for (String work : List.of("1x1 @8; 4x4 -15%", "5x5 100kg")) {
          write(coach, at + "/days/" + TestApp.TODAY.plusDays(day) + "/slots", Map.of("kind", "MAIN", "lift", "Squat", "work", work));
        }
      }
      write(coach, at + "/weigh-ins", Map.of("bodyMass", "82.5", "weighedIn", "KG"));
      write(coach, at + "/complaints", Map.of("where", "left knee", "score", "3"));
      write(coach, at + "/sets", Map.of("lift", "squat", "load", "140", "reps", "3", "how", "8", "on", TestApp.TODAY.minusDays(9)
          .toString(), "toldIn", "KG"));
      write(coach, at + "/silences", Map.of("check", "milestone", "reason", "known"));
      write(coach, at + "/progressions", Map.of("lift", "bench", "method", "rpe-weeks", "starts", TestApp.TODAY.toString(), "days",
          "MONDAY", "turn", "EVERY"));
      write(coach, at + "/calendar", Map.of());
      long session = sessionsOf(lifter).get(0);
      write(coach, "/sessions/" + session + "/issue", Map.of());
      write(coach, "/sessions/" + session + "/sets", Map.of("key", UUID.randomUUID().toString(), "slot",
          app.line(slotsOf(lifter).get(0)), "part", "1",
          "set", "1", "seen", "-1", "load", "125", "reps", "1", "outcome", "done", "chips", "1", "mark", "DEPTH"));
      write(coach, "/sessions/" + session + "/check-in", Map.of("sleep", "7.5", "place.1", "KNEE", "score.1", "3"));
      write(coach, "/sessions/" + session + "/words", Map.of("words", "Stay with it.", "key", UUID.randomUUID().toString()));
      write(coach, "/sessions/" + session + "/lifted", Map.of("at", "Loft"));
      write(coach, "/sessions/" + session + "/extra", Map.of("lift", "row", "load", "60", "reps", "10", "key", UUID.randomUUID().toString()));
      UUID film = UUID.randomUUID();
      write(coach, "/sessions/" + session + "/clips", Map.of("key", film.toString(), "bytes", "16"));
      coach.put("/clips/uploads/" + film + "?at=0", "\0\0\0\20ftypisom\0\0\2\0".getBytes(StandardCharsets.ISO_8859_1));
      write(coach, "/sessions/" + session + "/clips", Map.of("key", UUID.randomUUID().toString(), "bytes", "16"));
      write(coach, at + "/devices", Map.of("name", "sensor"));
      write(coach, "/slots/" + second(lifter, TestApp.TODAY.plusDays(2)) + "/join", Map.of());
    }
    write(coach, "/groups", Map.of("name", "Both", "member", Long.toString(lifters.get(0))));
    write(coach, "/contests", Map.of("name", "Spring Open", "sport", "POWERLIFTING", "state", "PLANNED", "day",
        TestApp.TODAY.plusWeeks(9).toString(), "rules", "CLASSIC"));
    write(coach, "/lifters/" + lifters.get(0) + "/days/" + TestApp.TODAY + "/keep", Map.of());
    invite(coach);
    write(coach, "/records/files", Map.of("lifter", Long.toString(lifters.get(1)), "text", "Date;Lift;Load kg;Reps\n2024-03-05;Squat;100;5\n"
        + "2024-03-06;Squat;none;5\n"));
    write(coach, "/lifts", Map.of("name", "Own squat", "parent", "squat", "movement", "SQUAT"));
  }

  private static void write(Client coach, String path, Map<String, String> form) {
    HttpResponse<String> answer = coach.post(path, form);
    if (answer.statusCode() >= 400) {
      throw new IllegalStateException(answer.statusCode() + " to " + path + " " + form + ": " + answer.body()
          .replaceAll("(?s).*field-error|<[^>]*>", " ").replaceAll("\\s+", " "));
    }
  }

  /** A table in which nothing stands tells nothing when it stays as it was. */
  private void assertFurnished() {
    for (String table : List.of("lifter", "training_session", "slot", "logged_set", "card_issue", "lifter_group", "contest",
        "template", "progression", "silence", "complaint", "weigh_in", "calendar_feed", "club_lift", "change", "checked_in", "session_word", "session_log", "set_mark", "clip",
        "clip_upload", "device", "entry_link", "letter", "happened", "old_records")) {
      if (ids(table).isEmpty()) {
        throw new IllegalStateException("Nothing stands in " + table);
      }
    }
  }

  private long second(long lifter, LocalDate day) {
    return app.jdbc().sql("select s.id from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l and "
        + "t.day = :day order by s.position, s.id offset 1 limit 1")
        .param("l", lifter).param("day", day).query(Long.class).single();
  }

  public List<Long> sessionsOf(long lifter) {
    return app.jdbc().sql("select id from training_session where lifter_id = :l order by day").param("l", lifter).query(Long.class).list();
  }

  public List<Long> slotsOf(long lifter) {
    return app.jdbc().sql("select s.id from slot s join training_session t on t.id = s.session_id where t.lifter_id = :l order "
        + "by t.day, s.position").param("l", lifter)
        .query(Long.class).list();
  }

  /** Every id of the club in a table. */
  public List<Long> ids(String table) {
    return app.jdbc().sql("select id from " + table + " where club_id = :c order by id limit 40").param("c", clubId)
        .query(Long.class).list();
  }

  /** What stands in every table of clubs, by table, when nothing is due any more: rows of other clubs, or of all. */
  public static Map<String, String> tables(TestApp app, Long butClub) {
    Background.quiet(app);
    JdbcClient jdbc = app.jdbc();
    List<String> names = jdbc.sql("select table_name from information_schema.columns where table_schema = 'public' and "
        + "column_name = 'club_id' and table_name not in "
        + "('sign_in', 'known_device', 'form_once', 'demo_week', 'happened', 'due_work') order by 1").query(String.class).list();
    Map<String, String> found = new TreeMap<>();
    for (String table : names) {
      found.put(table, jdbc.sql("select count(*) || ' ' || coalesce(md5(string_agg(t::text, '|' order by t::text)), '') from "
          + (table.equals("account") ? "(select id, club_id, role, name, lifter_id, disabled, person_id from account)" : table) + " t"
          + (butClub == null ? "" : " where club_id <> " + butClub)).query(String.class).single());
    }
    return new HashMap<>(found);
  }
}
