package org.yarbel.web.call;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.Confidence;
import org.yarbel.core.call.Urgency;
import org.yarbel.web.club.ClubRow;

/** A call of a lifter and what became of it. Open ones are drawn up anew whenever something moves; decided ones stay as they were. */
@Entity
@Table(name = "coach_call")
public class CallRow extends ClubRow {
  /** What became of it. */
  public enum State {
    OPEN("open"),
    /** Left to lie until there is something new. */
    LYING("left to lie"),
    TAKEN("taken"),
    REFUSED("refused"),
    /** Its facts hold no longer. */
    GONE("gone by itself"),
    /** Taken, and taken back again. */
    UNDONE("taken back");

    /** Those that still wait for a word. */
    static final Set<State> WAITING = EnumSet.of(OPEN, LYING);
    /** Those a coach has decided for good. */
    static final Set<State> DECIDED = EnumSet.of(TAKEN, REFUSED);

    private final String word;

    State(String word) {
      this.word = word;
    }

    String word() {
      return word;
    }

    boolean waits() {
      return WAITING.contains(this);
    }

    /** Whether it can be taken back. */
    boolean undoable() {
      return this == LYING || DECIDED.contains(this);
    }
  }

  private long lifterId;
  private String rule = "";
  private String lift = "";
  private String matter = "";

  @Enumerated(EnumType.STRING)
  private State state = State.OPEN;

  private String document = "";
  private String facts = "";
  private String shown = "";
  private int urgency;
  private int confidence;
  private boolean safe;
  private Instant raisedAt = Instant.EPOCH;
  private @Nullable Instant decidedAt;
  private @Nullable String decidedBy;
  private @Nullable Integer proposal;
  private @Nullable String taken;
  private String reason = "";
  private String word = "";
  private @Nullable Long changeId;
  @Version private int version;

  protected CallRow() {}

  CallRow(long lifterId, Call call, String document, String shown, Instant at) {
    this.lifterId = lifterId;
    this.rule = call.rule();
    this.lift = call.lift();
    this.matter = call.matter();
    this.raisedAt = at;
    say(call, document, shown);
  }

  /** Takes what the rule says now; true when it is something else. */
  final boolean say(Call call, String newDocument, String newShown) {
    boolean other = !newDocument.equals(document) || !newShown.equals(shown);
    this.document = newDocument;
    this.shown = newShown;
    this.facts = String.join("\n", call.factKeys());
    this.urgency = call.urgency().ordinal();
    this.confidence = call.confidence().ordinal();
    this.safe = call.safe();
    return other;
  }

  long lifterId() {
    return lifterId;
  }

  String rule() {
    return rule;
  }

  String lift() {
    return lift;
  }

  String matter() {
    return matter;
  }

  State state() {
    return state;
  }

  String document() {
    return document;
  }

  /** What its proposals come to in loads. */
  String shown() {
    return shown;
  }

  /** The facts it rests on, by their keys. */
  List<String> facts() {
    return facts.isEmpty() ? List.of() : List.of(facts.split("\n"));
  }

  Urgency urgency() {
    return Urgency.values()[urgency];
  }

  Confidence confidence() {
    return Confidence.values()[confidence];
  }

  boolean safe() {
    return safe;
  }

  Instant raisedAt() {
    return raisedAt;
  }

  @Nullable Instant decidedAt() {
    return decidedAt;
  }

  /** Who decided; null while nobody has, or nobody had to. */
  @Nullable String decidedBy() {
    return decidedBy;
  }

  @Nullable Integer proposal() {
    return proposal;
  }

  String reason() {
    return reason;
  }

  /** What the lifter is told of it. */
  String word() {
    return word;
  }

  /** The change it made; null where nothing was changed. */
  @Nullable Long changeId() {
    return changeId;
  }

  int version() {
    return version;
  }

  private void decide(State newState, @Nullable String who, Instant at) {
    this.state = newState;
    this.decidedBy = who;
    this.decidedAt = at;
  }

  /**
   * Was taken.
   *
   * @param made what was written, as a document; it may be other than what was proposed
   * @param told what the lifter is told
   */
  void take(int number, String made, @Nullable Long change, String told, String who, Instant at) {
    this.proposal = number;
    this.taken = made;
    this.changeId = change;
    this.word = told;
    decide(State.TAKEN, who, at);
  }

  void refuse(String why, String who, Instant at) {
    this.reason = why;
    decide(State.REFUSED, who, at);
  }

  void lie(String who, Instant at) {
    decide(State.LYING, who, at);
  }

  void go(Instant at) {
    decide(State.GONE, null, at);
  }

  void undo(String who, Instant at) {
    decide(State.UNDONE, who, at);
  }

  /** Stands open again, with something new. */
  void open() {
    this.state = State.OPEN;
    this.decidedAt = null;
    this.decidedBy = null;
  }
}
