package org.yarbel.web.card;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.SessionEffort;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.club.Turns;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterService;
import org.yarbel.web.log.ExtraSet;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.OpinionFrom;
import org.yarbel.web.log.Said;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.session.SessionWord;
import org.yarbel.web.who.SignedIn;

/** Writes down what is said around the sets of a card; each answers what was typed, with a sentence where something cannot be. */
@Service
class CardNotes {
  private static final int MOST_SETS = 10;
  private static final int MOST_EXTRAS = 60;
  private static final int MOST_REPS = 100;
  private static final int DAYS_BACK = 60;
  private static final int LONGEST_PLACE = 60;

  private final CardService cards;
  private final CardBeside beside;
  private final SessionNotes notes;
  private final LifterService lifters;
  private final LoggedSetRepository sets;
  private final Tracking tracking;
  private final Issuing issuing;
  private final Lifts lifts;
  private final ClubClock clock;
  private final Turns turns;

  CardNotes(CardService cards, CardBeside beside, SessionNotes notes, LifterService lifters, LoggedSetRepository sets, Tracking tracking,
      Issuing issuing, Lifts lifts, ClubClock clock, Turns turns) {
    this.cards = cards;
    this.beside = beside;
    this.notes = notes;
    this.lifters = lifters;
    this.sets = sets;
    this.tracking = tracking;
    this.issuing = issuing;
    this.lifts = lifts;
    this.clock = clock;
    this.turns = turns;
  }

  /** How somebody comes to a session. What is left out altogether is kept as left out, and nobody is asked again. */
  @Transactional
  public Typed checkIn(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = turn(sessionId, who);
    Typed typed = new Typed(fields);
    if (typed.has("leave")) {
      notes.checkIn(session, new CheckIn(null, null, null, null, List.of()));
      return typed;
    }
    Double hours = typed.decimal("sleep", "The hours of sleep", 0, CheckIn.MOST_SLEEP / 2.0);
    Integer energy = typed.whole("energy", "The energy", 1, CheckIn.BEST);
    Integer joints = typed.whole("joints", "How the joints feel", 1, CheckIn.BEST);
    Integer stress = typed.whole("stress", "How calm you are", 1, CheckIn.BEST);
    List<Pain> pains = pains(typed);
    if (typed.fine() && !typed.empty("bodyMass")) {
      weigh(session, typed);
    }
    if (typed.fine()) {
      notes.checkIn(session, new CheckIn(hours == null ? null : Integer.valueOf((int) Math.round(2 * hours)), energy, joints, stress,
          pains));
    }
    return typed;
  }

  private void weigh(TrainingSession session, Typed typed) {
    Map<String, String> weighed = new LinkedHashMap<>(typed.fields());
    weighed.put("day", notes.day(session).toString());
    Typed answer = lifters.weigh(session.lifterId(), weighed);
    answer.errors().forEach(typed::wrong);
    answer.asked().forEach(typed.asked()::put);
  }

  private static List<Pain> pains(Typed typed) {
    List<Pain> pains = new ArrayList<>();
    for (int at = 1; at <= CheckIn.MOST_PAINS; at++) {
      Optional<BodyPlace> place = typed.choice("place." + at, BodyPlace.class);
      Integer score = typed.whole("score." + at, "The pain", 0, Pain.MOST);
      String worse = typed.note("worse." + at, Pain.LONGEST);
      if (place.isPresent() && typed.empty("score." + at)) {
        typed.wrong("score." + at, "Say how much it hurts, from 0 to 10.");
      } else if (place.isEmpty() && !typed.empty("score." + at)) {
        typed.wrong("place." + at, "Say where it hurts.");
      } else if (place.isPresent() && score != null && worse.length() <= Pain.LONGEST) {
        pains.add(new Pain(place.get(), typed.choice("side." + at, Pain.Side.class).orElse(null), score, worse));
      }
    }
    return pains;
  }

  /** How hard and how long a session was; only checked. */
  static Typed after(Map<String, String> fields) {
    Typed typed = new Typed(fields);
    typed.whole("effort", "The effort of the session", 0, SessionEffort.MOST);
    typed.whole("minutes", "The minutes", 1, SessionEffort.LONGEST);
    typed.note("words", SessionWord.LONGEST);
    return typed;
  }

  /** Writes down how hard and how long it was, and a word to the other side. */
  @Transactional
  public void after(long sessionId, SignedIn who, Typed typed) {
    TrainingSession session = turn(sessionId, who);
    Integer effort = typed.whole("effort", "", 0, SessionEffort.MOST);
    notes.was(session, effort == null ? null : new SessionEffort(effort), typed.whole("minutes", "", 1, SessionEffort.LONGEST));
    String words = typed.text("words");
    if (!words.isEmpty()) {
      notes.say(session, who, uuid(typed.text("key")).orElseGet(UUID::randomUUID), words, Long.MAX_VALUE);
    }
  }

  /** A word about a session. */
  @Transactional
  public Typed say(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = turn(sessionId, who);
    Typed typed = new Typed(fields);
    String words = typed.note("words", SessionWord.LONGEST);
    Optional<UUID> key = uuid(typed.text("key"));
    if (words.isEmpty()) {
      typed.wrong("words", "Write something first.");
    }
    if (key.isEmpty()) {
      typed.wrong("words", "This page is too old to write from: open the card again.");
    }
    if (typed.fine()) {
      SessionNotes.Outcome outcome = notes.say(session, who, key.orElseThrow(), words, number(typed.text("seen")));
      if (outcome instanceof SessionNotes.Outcome.Meanwhile meanwhile) {
        typed.wrong("words", "Meanwhile " + meanwhile.theirs().author() + " wrote, and it stands above. Yours is still here: send it "
            + "again if it is needed yet.");
      } else if (outcome instanceof SessionNotes.Outcome.Full) {
        typed.wrong("words", "There are as many words here as a session holds. Write them on the next one.");
      }
    }
    return typed;
  }

  /** Somebody has read what the other side said, up to a word. */
  @Transactional
  public void read(long sessionId, SignedIn who, long upTo) {
    notes.read(turn(sessionId, who), who, upTo);
  }

  /** When and where a session was truly lifted. What is logged moves to that day. */
  @Transactional
  public Typed lifted(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = turn(sessionId, who);
    Typed typed = new Typed(fields);
    LocalDate on = typed.past("on", clock.today());
    String at = typed.note("at", LONGEST_PLACE);
    if (on != null && (on.isBefore(session.day().minusDays(DAYS_BACK)) || on.isAfter(session.day().plusDays(DAYS_BACK)))) {
      typed.wrong("on", "That is over " + DAYS_BACK + " days from " + session.day() + ", which it was planned for. Maybe another session "
          + "was meant?");
    }
    if (typed.fine()) {
      notes.lifted(session, on, at);
      LocalDate day = notes.day(session);
      List<LoggedSetRow> moved = sets.ofSession(sessionId).stream().filter(row -> !row.day().equals(day)).toList();
      moved.forEach(row -> row.moveTo(day));
      sets.saveAllAndFlush(moved);
      Lifter lifter = cards.lifter(session);
      moved.stream().map(LoggedSetRow::lift).distinct().forEach(lift -> tracking.rerun(lifter, lift));
    }
    return typed;
  }

  /** Sets of a lift that the card did not ask for. */
  @Transactional
  public Typed extra(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = turn(sessionId, who);
    Typed typed = new Typed(fields);
    Lifter lifter = cards.lifter(session);
    Optional<Lift> lift = SaidForm.lift(lifts.catalogue(), typed.text("lift"));
    Mass load = typed.massFromZero("load", lifter.unit());
    Integer reps = typed.whole("reps", "The reps", 0, MOST_REPS);
    Integer count = typed.empty("sets") ? Integer.valueOf(1) : typed.whole("sets", "The sets", 1, MOST_SETS);
    boolean easier = typed.text("rpe").equals(EntryForm.EASIER);
    Rpe rpe = easier ? null : typed.rpe("rpe");
    Optional<UUID> key = uuid(typed.text("key"));
    if (lift.isEmpty()) {
      typed.wrong("lift", SaidForm.unknown(lifts.catalogue(), typed.text("lift")));
    }
    if (typed.empty("load")) {
      typed.wrong("load", "Write the load, 0 for none.");
    }
    if (typed.empty("reps")) {
      typed.wrong("reps", "Write the reps, 0 for a miss.");
    }
    if (key.isEmpty()) {
      typed.wrong("lift", "This page is too old to log from: open the card again.");
    }
    if (!typed.fine() || load == null || reps == null || count == null || sets.findByEntryKey(key.orElseThrow()).isPresent()) {
      return typed;
    }
    if (sets.ofSession(sessionId).stream().filter(LoggedSetRow::extra).count() + count > MOST_EXTRAS) {
      typed.wrong("lift", "A session holds at most " + MOST_EXTRAS + " sets beside its card.");
      return typed;
    }
    issuing.newestOrIssue(session, lifter);
    LocalDate day = beside.day(session);
    Set<Context> contexts = beside.ofTheDay(session, lift.get().key());
    for (int set = 1; set <= count; set++) {
      UUID own = set == 1 ? key.get() : UUID.nameUUIDFromBytes((key.get() + " " + set).getBytes(StandardCharsets.UTF_8));
      ExtraSet done = new ExtraSet(own, key.get(), set, load, reps, rpe, easier, Said.NOTHING.with(contexts));
      sets.save(LoggedSetRow.beside(lifter.id(), sessionId, lift.get().key(), day, done, !lift.get().variation().assisted(), clock.now()));
    }
    sets.flush();
    tracking.logged(lifter, lift.get().key(), day);
    return typed;
  }

  /** Takes sets out that were done beside the card; what they were is answered, so that they can be put back. */
  @Transactional
  public Map<String, String> takeOut(long sessionId, SignedIn who, UUID line) {
    TrainingSession session = turn(sessionId, who);
    List<LoggedSetRow> there = sets.ofSession(sessionId).stream().filter(row -> row.extra() && row.line().equals(line)).toList();
    if (there.isEmpty()) {
      return Map.of();
    }
    LoggedSetRow first = there.get(0);
    sets.deleteAll(there);
    sets.flush();
    tracking.rerun(cards.lifter(session), first.lift());
    String name = lifts.catalogue().ofKey(first.lift()).map(Lift::name).orElse(first.lift());
    String rated = first.easier() ? EntryForm.EASIER : "";
    return Map.of("lift", name, "load", first.load().number(), "reps", Integer.toString(first.reps()), "sets",
        Integer.toString(there.size()), "rpe", first.rpe() == null ? rated : first.rpe().toString());
  }

  /** How hard a set looked to a coach, beside its lifter's own rating, which stays; nothing takes it back. */
  @Transactional
  public Typed opine(long sessionId, SignedIn who, LoggedSet.Place place, Map<String, String> fields) {
    TrainingSession session = turn(sessionId, who);
    Typed typed = new Typed(fields);
    Rpe looked = typed.rpe("opinion");
    LoggedSetRow row = uuid(typed.text("slot")).flatMap(line -> sets.ofSession(sessionId).stream().filter(set -> set.line().equals(line)
        && set.loggedSet().place().equals(place)).findFirst()).orElseThrow(NotFound::new);
    if (row.rpe() == null) {
      typed.wrong("opinion", "The set is not rated, so there is nothing to stand beside.");
    }
    if (typed.fine()) {
      row.opine(looked, typed.choice("from", OpinionFrom.class).orElse(OpinionFrom.SEEN), who.name());
      sets.saveAndFlush(row);
      tracking.rerun(cards.lifter(session), row.lift());
    }
    return typed;
  }

  private TrainingSession turn(long sessionId, SignedIn who) {
    turns.ofSession(sessionId);
    return cards.session(sessionId, who);
  }

  private static Optional<UUID> uuid(String text) {
    try {
      return Optional.of(UUID.fromString(text));
    } catch (IllegalArgumentException none) {
      return Optional.empty();
    }
  }

  private static long number(String text) {
    return text.matches("\\d{1,18}") ? Long.parseLong(text) : 0;
  }
}
