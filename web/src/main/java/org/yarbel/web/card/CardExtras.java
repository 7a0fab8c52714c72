package org.yarbel.web.card;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
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
import org.yarbel.core.log.Context;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.ExtraSet;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Opinion;
import org.yarbel.web.log.Said;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.who.SignedIn;

/** Writes down sets that no card asked for, and second opinions about those that are written down. */
@Service
class CardExtras {
  private static final int MOST_SETS = 10;
  private static final int MOST_EXTRAS = 60;

  private final CardService cards;
  private final CardBeside beside;
  private final SessionNotes notes;
  private final LoggedSetRepository sets;
  private final Tracking tracking;
  private final Issuing issuing;
  private final Lifts lifts;
  private final ClubClock clock;

  CardExtras(CardService cards, CardBeside beside, SessionNotes notes, LoggedSetRepository sets, Tracking tracking, Issuing issuing,
      Lifts lifts, ClubClock clock) {
    this.cards = cards;
    this.beside = beside;
    this.notes = notes;
    this.sets = sets;
    this.tracking = tracking;
    this.issuing = issuing;
    this.lifts = lifts;
    this.clock = clock;
  }

  /** Sets of a lift that the card did not ask for. */
  @Transactional
  public Typed extra(long sessionId, SignedIn who, Map<String, String> fields) {
    TrainingSession session = cards.turn(sessionId, who);
    Typed typed = new Typed(fields);
    Lifter lifter = cards.lifter(session);
    Optional<Lift> lift = SaidForm.lift(lifts.catalogue(), typed.text("lift"));
    Mass load = typed.massFromZero("load", lifter.unit());
    Integer reps = typed.whole("reps", "The reps", 0, EntryForm.MOST_REPS);
    Integer count = typed.empty("sets") ? Integer.valueOf(1) : typed.whole("sets", "The sets", 1, MOST_SETS);
    boolean easier = typed.text("rpe").equals(EntryForm.EASIER);
    Rpe rpe = easier ? null : typed.rpe("rpe");
    Optional<UUID> key = Typed.uuid(typed.text("key"));
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
    LocalDate day = notes.begin(session);
    Set<Context> contexts = beside.ofTheDay(session, lift.get().key());
    for (int set = 1; set <= count; set++) {
      UUID own = set == 1 ? key.get() : UUID.nameUUIDFromBytes((key.get() + " " + set).getBytes(StandardCharsets.UTF_8));
      ExtraSet done = new ExtraSet(own, key.get(), set, load, reps, rpe, easier, Said.NOTHING.inStates(contexts));
      sets.save(LoggedSetRow.beside(lifter.id(), sessionId, lift.get().key(), day, done, !lift.get().variation().assisted(), clock.now()));
    }
    sets.flush();
    tracking.logged(lifter, lift.get().key(), day);
    notes.told(session, "extra");
    return typed;
  }

  /** Takes sets out that were done beside the card; what they were is answered, so that they can be put back. */
  @Transactional
  public Map<String, String> takeOut(long sessionId, SignedIn who, UUID line) {
    TrainingSession session = cards.turn(sessionId, who);
    List<LoggedSetRow> there = sets.ofSession(sessionId).stream().filter(row -> row.extra() && row.line().equals(line)).toList();
    if (there.isEmpty()) {
      return Map.of();
    }
    LoggedSetRow first = there.get(0);
    sets.deleteAll(there);
    sets.flush();
    tracking.rerun(cards.lifter(session), first.lift());
    notes.told(session, "extra");
    String name = lifts.catalogue().ofKey(first.lift()).map(Lift::name).orElse(first.lift());
    String rated = first.easier() ? EntryForm.EASIER : "";
    return Map.of("lift", name, "load", first.load().number(), "reps", Integer.toString(first.reps()), "sets",
        Integer.toString(there.size()), "rpe", first.rpe() == null ? rated : first.rpe().toString());
  }

  /** How hard a set looked to a coach, beside its lifter's own rating, which stays; nothing takes it back. */
  @Transactional
  public Typed opine(long sessionId, SignedIn who, LoggedSet.Place place, Map<String, String> fields) {
    TrainingSession session = cards.turn(sessionId, who);
    Typed typed = new Typed(fields);
    Rpe looked = typed.rpe("opinion");
    LoggedSetRow row = Typed.uuid(typed.text("slot")).flatMap(line -> sets.ofSession(sessionId).stream()
        .filter(set -> set.line().equals(line)
        && set.loggedSet().place().equals(place)).findFirst()).orElseThrow(NotFound::new);
    if (row.rpe() == null) {
      typed.wrong("opinion", "The set is not rated, so there is nothing to stand beside.");
    }
    if (typed.fine()) {
      row.opine(looked == null ? null
          : Opinion.of(looked, typed.choice("from", Opinion.From.class).orElse(Opinion.From.SEEN), who.name()));
      sets.saveAndFlush(row);
      tracking.rerun(cards.lifter(session), row.lift());
      notes.told(session, "second opinion");
    }
    return typed;
  }
}
