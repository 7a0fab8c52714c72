package org.yarbel.web.call;

import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.CallRule;
import org.yarbel.core.call.CallRules;
import org.yarbel.core.call.Effect;
import org.yarbel.core.call.Picture;
import org.yarbel.core.call.Proposal;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.club.Undoing;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.job.DueWork;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Keeps the calls of the club: draws them up, and takes, refuses, leaves and undoes them. Each decision is on record for good. */
@Service
class CallBook implements DueWork {
  /** What the work in the background is called. */
  static final String KIND = "calls";

  private final CallRepository calls;
  private final LifterRepository lifters;
  private final PictureReader reader;
  private final Taking taking;
  private final LoadMoves moves;
  private final Undo undo;
  private final CoreJson json;
  private final ClubClock clock;
  private final Turns turns;
  private final EntityManager entities;

  CallBook(CallRepository calls, LifterRepository lifters, PictureReader reader, Taking taking, LoadMoves moves, Undo undo, CoreJson json,
      ClubClock clock, Turns turns, EntityManager entities) {
    this.calls = calls;
    this.lifters = lifters;
    this.reader = reader;
    this.taking = taking;
    this.moves = moves;
    this.undo = undo;
    this.json = json;
    this.clock = clock;
    this.turns = turns;
    this.entities = entities;
  }

  /** What became of a decision. */
  sealed interface Outcome {
    /**
     * Done, with a sentence.
     *
     * @param beside other calls of the lifter that came out otherwise by it
     */
    record Done(CallRow call, String said, List<CallRow> beside) implements Outcome {}

    /** Somebody has decided it already. */
    record Already(CallRow call) implements Outcome {}

    /** It was drawn up anew, for something stands otherwise than on the screen; null where it is gone. */
    record Anew(@Nullable CallRow call, String why) implements Outcome {}

    /** Lines that a coach typed cannot be worked out; what is wrong, by the number of the edit. */
    record Wrong(CallRow call, Map<Integer, String> errors) implements Outcome {}
  }

  /**
   * What a coach decides to take.
   *
   * @param version of the call that was on the screen
   * @param proposal its number, from 0
   * @param lines those typed otherwise, by the number of the edit
   * @param word what the lifter is told; empty for the proposal's own words
   */
  record Choice(int version, int proposal, Map<Integer, String> lines, String word) {
    static Choice first(int version) {
      return new Choice(version, 0, Map.of(), "");
    }
  }

  @Override
  public String kind() {
    return KIND;
  }

  /** Looks without the lifter's turn, so that nobody who logs or plans waits for it, and keeps what it saw if nothing came meanwhile. */
  @Override
  @Transactional
  public boolean work(String key, List<Cause> causes, BooleanSupplier overtaken) {
    Optional<Lifter> lifter = lifters.findById(Long.parseLong(key));
    if (lifter.isEmpty()) {
      return true;
    }
    Seen seen = see(lifter.get());
    // nothing of what was read is written
    entities.clear();
    turns.ofLifter(lifter.get().id());
    if (overtaken.getAsBoolean()) {
      return false;
    }
    keep(lifter.get().id(), seen);
    moves.note(lifter.get(), seen.picture(), causes);
    return true;
  }

  /** Draws up the calls of a lifter at once. */
  @Transactional
  public void lookAt(long lifterId) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    turns.ofLifter(lifterId);
    look(lifter);
  }

  private List<CallRow> look(Lifter lifter) {
    return keep(lifter.id(), see(lifter));
  }

  /** A call, with what a coach sees of it. */
  private record Drawn(Call call, String shown) {}

  /** What a look saw: the calls by their matter. */
  private record Seen(Picture picture, Map<String, Drawn> calls) {}

  private Seen see(Lifter lifter) {
    Picture picture = reader.read(lifter).picture();
    Map<String, Drawn> seen = new LinkedHashMap<>();
    CallRules.look(picture).forEach(call -> seen.computeIfAbsent(call.matter(), matter -> new Drawn(call, shown(picture, call))));
    return new Seen(picture, seen);
  }

  /** Keeps what was seen; which of the calls that waited came out otherwise. */
  private List<CallRow> keep(long lifterId, Seen seen) {
    List<CallRow> otherwise = new ArrayList<>();
    undoneElsewhere(lifterId);
    Map<String, Drawn> fresh = new LinkedHashMap<>(seen.calls());
    Map<String, CallRow> waiting = calls.findByLifterIdAndStateIn(lifterId, CallRow.State.WAITING).stream()
        .collect(Collectors.toMap(CallRow::matter, Function.identity()));
    for (CallRow row : waiting.values()) {
      Drawn now = fresh.remove(row.matter());
      if (now == null) {
        row.go(clock.now());
        otherwise.add(row);
      } else {
        boolean news = !new HashSet<>(row.facts()).containsAll(now.call().factKeys());
        if (row.say(now.call(), json.write(now.call()), now.shown())) {
          otherwise.add(row);
        }
        if (news && row.state() == CallRow.State.LYING) {
          row.open();
        }
      }
    }
    fresh.values().stream().filter(drawn -> isNews(lifterId, drawn.call()))
        .forEach(drawn -> calls.save(new CallRow(lifterId, drawn.call(), json.write(drawn.call()), drawn.shown(), clock.now())));
    calls.flush();
    return otherwise;
  }

  /** A matter that was decided comes back only with new facts. */
  private boolean isNews(long lifterId, Call call) {
    return calls.findFirstByLifterIdAndMatterAndStateInOrderByIdDesc(lifterId, call.matter(), CallRow.State.DECIDED)
        .map(decided -> !new HashSet<>(decided.facts()).containsAll(call.factKeys())).orElse(true);
  }

  /** Whoever takes a change back on the board has taken the call back with it. */
  private void undoneElsewhere(long lifterId) {
    calls.takenAndUndone(lifterId).forEach(row -> row.undo("the board", clock.now()));
  }

  private String shown(Picture picture, Call call) {
    return json.write(Shown.of(picture, call));
  }

  /** The call a row keeps. */
  Call call(CallRow row) {
    return json.read(row.document(), Call.class);
  }

  /** A call of the club, with the turn for its lifter, as it stands once it is ours. */
  private CallRow turn(long id) {
    CallRow row = calls.findById(id).orElseThrow(NotFound::new);
    turns.ofLifter(row.lifterId());
    entities.refresh(row);
    return row;
  }

  /**
   * Takes a proposal.
   *
   * @throws Taking.Stale when something it would change stands otherwise by now: nothing was touched
   */
  @Transactional
  public Outcome take(long id, Choice choice, SignedIn who) {
    CallRow row = turn(id);
    if (!row.state().waits()) {
      return new Outcome.Already(row);
    }
    Lifter lifter = lifters.findById(row.lifterId()).orElseThrow(NotFound::new);
    if (row.version() != choice.version()) {
      return new Outcome.Anew(row, "It was drawn up anew meanwhile.");
    }
    Picture picture = reader.read(lifter).picture();
    Optional<Call> now = CallRules.look(picture).stream().filter(call -> call.matter().equals(row.matter())).findFirst();
    if (now.isEmpty()) {
      row.go(clock.now());
      return new Outcome.Anew(null, "Its facts hold no longer: there is nothing to decide any more.");
    }
    if (row.say(now.get(), json.write(now.get()), shown(picture, now.get()))) {
      calls.saveAndFlush(row);
      return new Outcome.Anew(row, "Something stands otherwise than on the screen, so it was drawn up anew.");
    }
    List<Proposal> proposals = now.get().proposals();
    if (choice.proposal() < 0 || choice.proposal() >= proposals.size() && choice.proposal() > 0) {
      throw new NotFound();
    }
    Proposal proposal = proposals.isEmpty() ? Proposal.nothing("Noted") : proposals.get(choice.proposal());
    Map<Integer, String> wrong = wrong(picture, proposal.effects(), choice.lines());
    if (!wrong.isEmpty()) {
      return new Outcome.Wrong(row, wrong);
    }
    List<Effect> effects = Taking.edited(proposal.effects(), choice.lines());
    Optional<Long> change = taking.take(lifter, effects, words(row, proposal), who);
    row.take(choice.proposal(), json.write(new Proposal(proposal.words(), effects)), change.orElse(null), told(row, proposal, effects,
        choice), who.name(), clock.now());
    calls.saveAndFlush(row);
    return new Outcome.Done(row, said(lifter, proposal), look(lifter));
  }

  private static String said(Lifter lifter, Proposal proposal) {
    return lifter.name() + ": " + proposal.words() + ".";
  }

  /** What the lifter is told: what the coach said, else what is different; nothing where nothing is. */
  private String told(CallRow row, Proposal proposal, List<Effect> effects, Choice choice) {
    if (!choice.word().isBlank()) {
      return choice.word().strip();
    }
    String lift = row.lift().isEmpty() ? "" : name(row.lift()) + ": ";
    return effects.isEmpty() ? "" : lift + proposal.words() + ".";
  }

  private String name(String lift) {
    return reader.liftName(lift).orElse(lift);
  }

  private String words(CallRow row, Proposal proposal) {
    String rule = CallRules.ofKey(row.rule()).map(CallRule::title).orElse(row.rule());
    return "call, " + rule + ": " + proposal.words();
  }

  /** What is wrong with lines that were typed: they must be readable, and come to loads for this lifter. */
  private static Map<Integer, String> wrong(Picture picture, List<Effect> effects, Map<Integer, String> typed) {
    Map<Integer, String> wrong = new HashMap<>();
    typed.forEach((number, text) -> {
      if (number < 0 || number >= effects.size()) {
        throw new NotFound();
      }
      String why = Shown.typed(picture, effects.get(number), text).wrong();
      if (why != null) {
        wrong.put(number, why);
      }
    });
    return wrong;
  }

  /** Refuses a call, with a reason that stays on record. */
  @Transactional
  public Outcome refuse(long id, String reason, SignedIn who) {
    CallRow row = turn(id);
    if (!row.state().waits()) {
      return new Outcome.Already(row);
    }
    row.refuse(reason, who.name(), clock.now());
    calls.saveAndFlush(row);
    return new Outcome.Done(row, "Refused: " + reason + ". It comes back only with something new.", List.of());
  }

  /** Lets a call lie until there is something new. */
  @Transactional
  public Outcome lie(long id, SignedIn who) {
    CallRow row = turn(id);
    if (!row.state().waits()) {
      return new Outcome.Already(row);
    }
    row.lie(who.name(), clock.now());
    calls.saveAndFlush(row);
    return new Outcome.Done(row, "Left to lie until there is something new.", List.of());
  }

  /** Takes a decision back: what it changed goes, where nothing later touched the same, and the call is open again if it still holds. */
  @Transactional
  public Outcome undo(long id, SignedIn who) {
    CallRow row = turn(id);
    if (!row.state().undoable()) {
      return new Outcome.Already(row);
    }
    Long change = row.changeId();
    if (row.state() == CallRow.State.TAKEN && change != null) {
      Undoing.UndoOutcome outcome = undo.outcome(change);
      if (!outcome.done()) {
        return new Outcome.Anew(row, outcome.sentence() + since(row));
      }
    }
    row.undo(who.name(), clock.now());
    calls.saveAndFlush(row);
    List<CallRow> beside = look(lifters.findById(row.lifterId()).orElseThrow(NotFound::new));
    CallRow open = calls.findByLifterIdAndStateIn(row.lifterId(), CallRow.State.WAITING).stream()
        .filter(other -> other.matter().equals(row.matter())).findFirst().orElse(row);
    return new Outcome.Done(open, "Taken back.", beside);
  }

  /** What was taken of the lifter after a call. */
  private String since(CallRow row) {
    List<String> later = new ArrayList<>();
    calls.findByLifterIdAndStateIn(row.lifterId(), Set.of(CallRow.State.TAKEN)).stream().filter(other -> other.decidedAt() != null
        && row.decidedAt() != null && other.decidedAt().isAfter(row.decidedAt()) && other.changeId() != null)
        .forEach(other -> later.add(CallRules.ofKey(other.rule()).map(CallRule::title).orElse(other.rule())));
    return later.isEmpty() ? "" : " Taken since: " + String.join(", ", later) + ".";
  }
}
