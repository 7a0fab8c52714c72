package org.yarbel.web.card;

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
import org.yarbel.core.call.EasyWay;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.SessionEffort;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterService;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.session.SessionWord;
import org.yarbel.web.who.SignedIn;

/** Writes down what is said around the sets of a card; each answers what was typed, with a sentence where something cannot be. */
@Service
class CardNotes {
  private static final String FULL = "There are as many words here as a session holds. Write them on the next one.";
  private static final int DAYS_BACK = 60;
  private static final int LONGEST_PLACE = 60;

  private final CardService cards;
  private final CardLog log;
  private final SessionNotes notes;
  private final LifterService lifters;
  private final LoggedSetRepository sets;
  private final Tracking tracking;
  private final ClubClock clock;

  CardNotes(CardService cards, CardLog log, SessionNotes notes, LifterService lifters, LoggedSetRepository sets, Tracking tracking,
      ClubClock clock) {
    this.cards = cards;
    this.log = log;
    this.notes = notes;
    this.lifters = lifters;
    this.sets = sets;
    this.tracking = tracking;
    this.clock = clock;
  }

  /** How somebody comes to a session. What is left out altogether is kept as left out, and nobody is asked again. */
  @Transactional
  public Typed checkIn(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = cards.turn(sessionId, who);
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

  /** An easier session for a low day, while nothing of its main work is lifted. */
  @Transactional
  public Typed ease(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = cards.turn(sessionId, who);
    Typed typed = new Typed(fields);
    EasyWay way = typed.choice("way", EasyWay.class).orElse(null);
    if (way == null && !typed.empty("way")) {
      typed.wrong("way", "Choose one of the easier sessions, or the one as planned.");
    }
    if (!typed.fine() || way == session.easier()) {
      return typed;
    }
    EasyView offered = EasyView.of(cards.look(sessionId, who));
    boolean there = offered != null && (way == null || offered.ways().stream().anyMatch(one -> one.way() == way));
    if (!there) {
      typed.wrong("way", "This card offers no easier session: it is not of today, or your coach has decided about it.");
    } else if (!offered.open()) {
      typed.wrong("way", "A set of the main work is logged already: the session goes on as it is. "
          + "Take less on the bar where it is too heavy.");
    } else {
      notes.ease(session, way);
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
        typed.wrong("score." + at, HurtForm.HOW_MUCH);
      } else if (place.isEmpty() && !typed.empty("score." + at)) {
        typed.wrong("place." + at, HurtForm.WHERE);
      } else if (place.isPresent() && score != null && worse.length() <= Pain.LONGEST) {
        pains.add(new Pain(place.get(), typed.choice("side." + at, Pain.Side.class).orElse(null), score, worse));
      }
    }
    return pains;
  }

  /**
   * What became of the end of a session.
   *
   * @param lines those with sets that were left; empty where something was wrong
   */
  record Ended(Typed typed, Set<UUID> lines) {}

  /** Ends a session: why sets were left, how hard and how long it was, and a word to the other side; all of it or nothing. */
  @Transactional
  public Ended end(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = cards.turn(sessionId, who);
    Typed typed = new Typed(fields);
    Integer effort = typed.whole("effort", "The effort of the session", 0, SessionEffort.MOST);
    Integer minutes = typed.whole("minutes", "The minutes", 1, SessionEffort.LONGEST);
    String words = typed.note("words", SessionWord.LONGEST);
    if (!words.isEmpty() && notes.full(session)) {
      typed.wrong("words", FULL);
    }
    if (!typed.fine()) {
      return new Ended(typed, Set.of());
    }
    Set<UUID> left = log.end(sessionId, who, line -> "could-not".equals(typed.text("why-" + line)) ? LeftSets.Why.COULD_NOT
        : LeftSets.Why.LEFT_OUT);
    notes.was(session, effort == null ? null : new SessionEffort(effort), minutes);
    if (!words.isEmpty()) {
      notes.say(session, who, Typed.uuid(typed.text("key")).orElseGet(UUID::randomUUID), words, Long.MAX_VALUE);
    }
    return new Ended(typed, left);
  }

  /** A word about a session. */
  @Transactional
  public Typed say(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = cards.turn(sessionId, who);
    Typed typed = new Typed(fields);
    String words = typed.note("words", SessionWord.LONGEST);
    Optional<UUID> key = Typed.uuid(typed.text("key"));
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
        typed.wrong("words", FULL);
      }
    }
    return typed;
  }

  /** Somebody has read what the other side said, up to a word. */
  @Transactional
  public void read(long sessionId, SignedIn who, long upTo) {
    notes.read(cards.turn(sessionId, who), who, upTo);
  }

  /** When and where a session was truly lifted. What is logged moves to that day. */
  @Transactional
  public Typed lifted(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = cards.turn(sessionId, who);
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

  private static long number(String text) {
    return text.matches("\\d{1,18}") ? Long.parseLong(text) : 0;
  }
}
