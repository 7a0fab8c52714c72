package org.yarbel.web.platform;

import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

/** A contest today with a lifter of the club in it, entered through its pages. */
record Meet(Someone someone, long contest, long athlete) {
  /** A contest of powerlifting today. */
  static Meet of(TestApp app, String name) {
    return of(app, name, TestApp.TODAY, Map.of());
  }

  /** A contest of strongman today, with three events. */
  static Meet strongman(TestApp app, String name) {
    return of(app, name, TestApp.TODAY, Map.of("sport", "STRONGMAN", "rules", "STRONGMAN", "events",
        "Log clean and press: timed 1x60s 100kg\nYoke walk: carry 1x20m 300kg in 60s\nStone loading: series 100/120/140kg in 90s"));
  }

  static Meet of(TestApp app, String name, LocalDate day, Map<String, String> more) {
    Someone someone = Someone.called(app, name, Map.of("squat", "200", "bench", "130", "deadlift", "235"));
    return entered(app, someone, name + " Open", day, more);
  }

  /** The same lifter in another contest. */
  Meet another(TestApp app, String name, LocalDate day) {
    return entered(app, someone, name, day, Map.of());
  }

  private static Meet entered(TestApp app, Someone someone, String name, LocalDate day, Map<String, String> more) {
    Map<String, String> form = new HashMap<>(Map.of("name", name, "sport", "POWERLIFTING", "state", "PLANNED", "day", day.toString(),
        "place", "Oxbow", "rules", "CLASSIC", "classes", "all", "sure.day", day.toString()));
    form.putAll(more);
    HttpResponse<String> made = someone.coach().post("/contests", form);
    long contest = Long.parseLong(made.headers().firstValue("Location").orElseThrow().replaceFirst(".*/contests/", ""));
    return new Meet(someone, contest, sent(someone, contest));
  }

  /** Sends a lifter to a contest; the id of the athlete they are there. */
  private static long sent(Someone someone, long contest) {
    someone.coach().post("/contests/" + contest + "/entries", Map.of("lifter", Long.toString(someone.id()), "weightClass", "93"));
    return someone.within(() -> someone.app().bean(ContestAthleteRepository.class).findByContestIdAndLifterId(contest, someone.id())
        .orElseThrow().id());
  }

  /** Another lifter of the club goes too. */
  long with(Someone other) {
    return sent(other, contest);
  }

  Client coach() {
    return someone.coach();
  }

  String at(String path) {
    return "/contests/" + contest + path;
  }

  String platform() {
    return at("/platform/" + athlete);
  }

  /** An entry as a phone sends it. */
  static Map<String, String> entry(String lift, int number, String load, String seen) {
    return new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "lift", lift, "number", Integer.toString(number), "load", load, "seen",
        seen));
  }

  /** The same with what came of it. */
  static Map<String, String> lifted(String lift, int number, String load, String verdict) {
    Map<String, String> entry = entry(lift, number, load, load + " kg");
    entry.put("verdict", verdict);
    return entry;
  }

  HttpResponse<String> send(Client who, long of, Map<String, String> entry) {
    return who.post(at("/platform/" + of + "/attempts"), entry, "HX-Request", "true");
  }

  HttpResponse<String> send(Map<String, String> entry) {
    return send(coach(), athlete, entry);
  }

  /** Hands an attempt in and says what came of it. */
  void attempt(long of, String lift, int number, String load, String verdict) {
    send(coach(), of, entry(lift, number, load, ""));
    send(coach(), of, lifted(lift, number, load, verdict));
  }

  void attempt(String lift, int number, String load, String verdict) {
    attempt(athlete, lift, number, load, verdict);
  }

  /** Adds athletes, a line each. */
  HttpResponse<String> add(String lines) {
    return coach().post(at("/rivals"), Map.of("list", lines));
  }

  long rival(String name) {
    return someone.within(() -> someone.app().bean(ContestAthleteRepository.class).ofContest(contest).stream()
        .filter(one -> one.said().name().equals(name)).findFirst().orElseThrow().id());
  }

  String table() {
    return coach().get(at("/day")).body();
  }

  /** Undoes the newest entry that says this. */
  String undo(String words) {
    Matcher form = Pattern.compile("notes/(\\d+)/undo\"[^>]*>(?:(?!</form>).)*Undo: [^\"]*" + Pattern.quote(words), Pattern.DOTALL).matcher(page());
    if (!form.find()) {
      throw new AssertionError("nothing to undo says: " + words);
    }
    coach().post(at("/notes/" + form.group(1) + "/undo"), Map.of());
    return page();
  }

  private String page() {
    String day = table();
    return day.isEmpty() ? coach().get(at("/events")).body() : day;
  }

  /** What stands there, as the core sees it. */
  List<String> stands(String lift) {
    return someone.within(() -> someone.app().bean(ContestDays.class).day(contest)).attempts().getOrDefault(athlete, Map.of())
        .getOrDefault(lift, List.of()).stream().map(Kept::of).toList();
  }
}
