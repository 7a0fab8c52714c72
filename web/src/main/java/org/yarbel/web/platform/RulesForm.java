package org.yarbel.web.platform;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.PointsFormula;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.strongman.EventKind;
import org.yarbel.core.contest.strongman.Points;
import org.yarbel.core.contest.strongman.Scoring;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.kit.PlaceKit;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.DaySheet;
import org.yarbel.web.form.Typed;

/** The rules of a contest's day as they are typed. */
final class RulesForm {
  private static final int MOST_SECONDS = (int) RuleSet.Attempts.LONGEST.toSeconds();
  private static final int MOST_STARTS = 60;
  private static final int MOST_FLIGHT = 20;
  /** A platform has as many of each plate as a bar bears, and one pair of those for records. */
  private static final int MANY_PAIRS = 10;

  private RulesForm() {}

  /** The fields of a sheet as it is kept. */
  static Map<String, String> fields(Contest contest, Catalogue lifts) {
    DaySheet sheet = contest.daySheet();
    RuleSet rules = sheet.rules();
    Map<String, String> fields = new HashMap<>();
    fields.put("step", rules.attempts().step().number());
    fields.put("recordStep", rules.attempts().recordStep().number());
    for (int at = 0; at < rules.attempts().changes().size(); at++) {
      fields.put("changes" + at, rules.attempts().changes().get(at).toString());
    }
    fields.put("toHandIn", Long.toString(rules.attempts().toHandIn().toSeconds()));
    fields.put("free", Integer.toString(rules.attempts().free()));
    fields.put("anAttempt", Long.toString(rules.platform().anAttempt().toSeconds()));
    fields.put("bar", rules.platform().bar().number());
    fields.put("collar", rules.platform().collar().number());
    fields.put("plates", rules.platform().plates().plates().stream().map(pairs -> pairs.size().number()).collect(Collectors.joining(" ")));
    fields.put("lighterFirst", rules.platform().lighterFirst() ? "yes" : "");
    fields.put("lifts", rules.platform().lifts().stream().map(key -> lifts.ofKey(key).map(Lift::name).orElse(key))
        .collect(Collectors.joining(", ")));
    fields.put("formula", sheet.formula().name());
    fields.put("mock", sheet.mock() ? "yes" : "");
    fields.put("cap", sheet.cap() == null ? "" : sheet.cap().toString());
    fields.put("points", rules.scoring().table().stream().map(Points::toString).collect(Collectors.joining(" ")));
    fields.put("countsBack", rules.scoring().countsBack() ? "yes" : "");
    fields.put("withdrawnKeeps", rules.scoring().withdrawnKeeps() ? "yes" : "");
    fields.put("starts", starts(sheet, lifts));
    List<DaySheet.EventRule> events = sheet.rules(contest.said().events());
    for (int at = 0; at < events.size(); at++) {
      fields.put("kind" + at, events.get(at).kind().name());
      fields.put("breaks" + at, events.get(at).timeBreaksTies() ? "yes" : "");
    }
    return fields;
  }

  /** A start a line: the flight, the lift, the time; an event by its number. */
  private static String starts(DaySheet sheet, Catalogue lifts) {
    return sheet.starts().entrySet().stream().map(start -> {
      String[] of = start.getKey().split("\\|", 2);
      return (of[0].isEmpty() ? "" : of[0] + " ") + lifts.ofKey(of[1]).map(Lift::name).orElse(of[1]) + " " + start.getValue();
    }).sorted().collect(Collectors.joining("\n"));
  }

  /** Reads it; empty when something is wrong, with what is wrong noted. */
  static Optional<DaySheet> read(Typed typed, Contest contest, Catalogue lifts) {
    Mass step = typed.mass("step", MassUnit.KG);
    Mass recordStep = typed.mass("recordStep", MassUnit.KG);
    Mass bar = typed.mass("bar", MassUnit.KG);
    Mass collar = typed.massFromZero("collar", MassUnit.KG);
    List<Integer> changes = new ArrayList<>();
    for (int at = 0; at < RuleSet.Attempts.CHANGES; at++) {
      changes.add(Objects.requireNonNullElse(typed.whole("changes" + at, "The changes", 0, RuleSet.Attempts.MOST_CHANGES), 0));
    }
    Integer toHandIn = typed.whole("toHandIn", "The seconds to hand in", 0, MOST_SECONDS);
    Integer anAttempt = typed.whole("anAttempt", "The seconds of an attempt", 1, MOST_SECONDS);
    Integer free = typed.whole("free", "The attempts of a lift", RuleSet.Attempts.LEAST, RuleSet.Attempts.MOST);
    List<String> contested = lifts(typed, lifts);
    PlateStock plates = plates(typed);
    Scoring scoring = scoring(typed);
    Map<String, LocalTime> starts = readStarts(typed, lifts, contest.said().events().size());
    Rpe cap = typed.rpe("cap");
    if (step == null || recordStep == null || bar == null || collar == null || toHandIn == null || anAttempt == null || free == null
        || plates == null || scoring == null || !typed.fine()) {
      for (String field : new String[] {"step", "recordStep", "bar", "collar", "toHandIn", "anAttempt", "free"}) {
        if (typed.empty(field)) {
          typed.wrong(field, "Write a number.");
        }
      }
      return Optional.empty();
    }
    try {
      RuleSet rules = new RuleSet(new RuleSet.Attempts(step, recordStep, changes, Duration.ofSeconds(toHandIn), free),
          new RuleSet.Platform(contested, Duration.ofSeconds(anAttempt), bar, collar, plates, typed.ticked("lighterFirst")), scoring);
      rules.kit();
      return Optional.of(new DaySheet(rules, typed.choice("formula", PointsFormula.class).orElse(PointsFormula.DOTS),
          events(typed, contest), starts, contest.daySheet().lateMinutes(), cap, typed.ticked("mock")));
    } catch (Refused refused) {
      typed.wrong("plates", refused);
      return Optional.empty();
    }
  }

  private static List<String> lifts(Typed typed, Catalogue lifts) {
    List<String> keys = new ArrayList<>();
    for (String name : typed.text("lifts").split(",")) {
      if (!name.isBlank()) {
        lifts.named(name.strip()).ifPresentOrElse(lift -> keys.add(lift.key()), () -> typed.wrong("lifts", lifts.unknown(name.strip())));
      }
    }
    if (keys.isEmpty() || keys.size() > RuleSet.Platform.MOST_LIFTS || keys.stream().distinct().count() < keys.size()) {
      typed.wrong("lifts", "Write from one to five lifts, each once, with commas between, such as Squat, Bench press, Deadlift.");
    }
    return keys;
  }

  private static @Nullable PlateStock plates(Typed typed) {
    List<PlateStock.Pairs> pairs = new ArrayList<>();
    try {
      for (String size : typed.text("plates").replace(',', '.').split("\\s+")) {
        if (!size.matches("\\d{1,2}(\\.\\d{1,2})?")) {
          throw new Refused("Write the plates with blanks between, such as 25 20 15 10 5 2.5 1.25");
        }
        Mass plate = Mass.of(size, MassUnit.KG);
        pairs.add(new PlateStock.Pairs(plate, plate.compareTo(PlaceKit.FRACTIONAL_UNDER) < 0 ? 1 : MANY_PAIRS));
      }
      return new PlateStock(MassUnit.KG, pairs);
    } catch (Refused refused) {
      typed.wrong("plates", refused);
      return null;
    }
  }

  private static @Nullable Scoring scoring(Typed typed) {
    List<Points> points = new ArrayList<>();
    try {
      for (String one : typed.empty("points") ? new String[0] : typed.text("points").split("\\s+")) {
        if (!one.matches("\\d{1,4}([.,]\\d)?")) {
          throw new Refused("Write the points of the first, the second and so on with blanks between, such as 12 10 8 6");
        }
        points.add(Points.of(new BigDecimal(one.replace(',', '.'))));
      }
      return new Scoring(points, typed.ticked("countsBack"), typed.ticked("withdrawnKeeps"));
    } catch (Refused refused) {
      typed.wrong("points", refused);
      return null;
    }
  }

  private static Map<String, LocalTime> readStarts(Typed typed, Catalogue lifts, int events) {
    Map<String, LocalTime> starts = new HashMap<>();
    List<String> lines = typed.text("starts").lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
    if (lines.size() > MOST_STARTS) {
      typed.wrong("starts", "At most " + MOST_STARTS + " times, but there were " + lines.size() + ".");
      return starts;
    }
    for (String line : lines) {
      int blank = line.lastIndexOf(' ');
      String what = blank < 0 ? "" : line.substring(0, blank).strip();
      LocalTime at = blank < 0 ? null : time(line.substring(blank + 1));
      Optional<String> key = key(what, lifts, events);
      if (at == null || key.isEmpty()) {
        typed.wrong("starts", "Write each start as flight, lift, time, such as 'A Squat 10:00', or the number of an event and a time, but "
            + "there is '" + (line.length() > 40 ? line.substring(0, 40) + "…" : line) + "'.");
      } else {
        starts.put(key.get(), at);
      }
    }
    return starts;
  }

  static @Nullable LocalTime time(String text) {
    if (!text.matches("\\d{1,2}[:.]\\d{2}")) {
      return null;
    }
    try {
      String[] parts = text.split("[:.]");
      return LocalTime.of(Integer.parseInt(parts[0]), Integer.parseInt(parts[1]));
    } catch (DateTimeException noTime) {
      return null;
    }
  }

  private static Optional<String> key(String what, Catalogue lifts, int events) {
    if (what.matches("\\d{1,2}")) {
      return Integer.parseInt(what) >= 1 && Integer.parseInt(what) <= events ? Optional.of("|" + what) : Optional.empty();
    }
    Optional<Lift> whole = lifts.named(what);
    int blank = what.indexOf(' ');
    if (whole.isPresent() || blank < 0) {
      return whole.map(lift -> "|" + lift.key());
    }
    String flight = what.substring(0, blank);
    return flight.length() > MOST_FLIGHT ? Optional.empty() : lifts.named(what.substring(blank + 1).strip()).map(lift -> flight + "|"
        + lift.key());
  }

  private static List<DaySheet.EventRule> events(Typed typed, Contest contest) {
    List<DaySheet.EventRule> rules = new ArrayList<>();
    List<DaySheet.EventRule> before = contest.daySheet().rules(contest.said().events());
    for (int at = 0; at < before.size(); at++) {
      rules.add(new DaySheet.EventRule(typed.choice("kind" + at, EventKind.class).orElse(before.get(at).kind()), typed.ticked("breaks"
          + at)));
    }
    return rules;
  }
}
