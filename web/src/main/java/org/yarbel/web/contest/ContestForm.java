package org.yarbel.web.contest;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.form.Typed;

/** What was typed of a contest, as it is shown again. */
public record ContestForm(@Nullable Long id, Map<String, String> fields, Map<String, String> errors) {
  private static final int MOST_EVENTS = 20;

  public String field(String name) {
    return fields.getOrDefault(name, "");
  }

  public @Nullable String error(String name) {
    return errors.get(name);
  }

  /** An empty one. */
  public static ContestForm blank() {
    return new ContestForm(null, Map.of("sport", "POWERLIFTING", "state", "PLANNED", "rules", "CLASSIC"), Map.of());
  }

  /** That of a contest as it is kept. */
  public static ContestForm of(Contest contest, Catalogue lifts) {
    Contest.ContestSaid said = contest.said();
    return new ContestForm(contest.id(), Map.of("name", said.name(), "sport", said.sport().name(), "state", said.state().name(), "day",
        said.day() == null ? "" : said.day().toString(), "place", said.place(), "federation", said.federation(), "rules",
        said.rules().name(), "further",
        said.further(), "classes", said.classes(), "events", said.events().stream().map(event -> lifts.ofKey(event.lift()).map(Lift::name)
            .orElse(event.lift()) + ": " + event.work()).collect(Collectors.joining("\n"))), Map.of());
  }

  /**
   * Reads it; empty when something is wrong, with what is wrong noted.
   *
   * @param stored the day it has, which may be behind; null for a new contest
   */
  public static Optional<Contest.ContestSaid> read(Typed typed, Catalogue lifts, LocalDate today, @Nullable LocalDate stored) {
    String name = typed.name("name", "the name of the contest", 80);
    Contest.Sport sport = typed.choice("sport", Contest.Sport.class).orElse(Contest.Sport.POWERLIFTING);
    Contest.State state = typed.choice("state", Contest.State.class).orElse(Contest.State.PLANNED);
    LocalDate day = typed.day("day", today.plusYears(5));
    if (day == null && state == Contest.State.PLANNED) {
      typed.wrong("day", "Write the day it is on, such as " + today.plusWeeks(12) + ", or choose 'put off, no date yet'.");
    } else if (day != null && !day.equals(stored) && day.isBefore(today)) {
      typed.wrong("day", "That day is behind: write one to come. What was lifted at a contest behind goes into the log.");
    } else if (day != null && !day.equals(stored) && ChronoUnit.DAYS.between(today, day) <= 3) {
      typed.doubt("day", "That is in " + Count.of(ChronoUnit.DAYS.between(today, day), "day")
          + ": nothing but rest and openers can be planned for it.");
    }
    AllowedGear rules = typed.choice("rules", AllowedGear.class).orElse(AllowedGear.OPEN);
    Contest.ContestSaid said = new Contest.ContestSaid(name, sport, state, day, typed.note("place", 120),
        typed.note("federation", 120), rules, typed.note("further", 600), typed.note("classes", 300), events(typed, lifts));
    return typed.fine() ? Optional.of(said) : Optional.empty();
  }

  /** An event a line: the lift, a colon, its work. */
  private static List<Contest.ContestEvent> events(Typed typed, Catalogue lifts) {
    List<Contest.ContestEvent> events = new ArrayList<>();
    for (String line : typed.text("events").lines().map(String::strip).filter(text -> !text.isEmpty()).toList()) {
      int colon = line.indexOf(':');
      if (colon < 0) {
        typed.wrong("events", "Write each event as lift, colon, work, such as 'Yoke walk: carry 1x20m 300kg in 60s', but there "
            + "is '" + line + "'.");
        continue;
      }
      Optional<Lift> lift = lifts.named(line.substring(0, colon).strip());
      if (lift.isEmpty()) {
        typed.wrong("events", lifts.unknown(line.substring(0, colon).strip()));
        continue;
      }
      try {
        events.add(new Contest.ContestEvent(lift.get().key(), WorkLine.parse(line.substring(colon + 1).strip()).line().toString()));
      } catch (NotationException wrong) {
        typed.wrong("events", lift.get().name() + ": " + wrong.problems().get(0).message());
      }
    }
    if (events.size() > MOST_EVENTS) {
      typed.wrong("events", "A contest has at most " + MOST_EVENTS + " events.");
    }
    return events;
  }
}
