package org.yarbel.web.board;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.club.Turns;
import org.yarbel.web.program.Days;

/** Undo and redo of everything on a lifter's board, the newest change first. */
@Service
class History {
  private static final List<String> SUBJECTS = List.of("slot", Arranging.SUBJECT, Days.SUBJECT);

  private final ChangeRepository changes;
  private final PlanService plan;
  private final Turns turns;

  History(ChangeRepository changes, PlanService plan, Turns turns) {
    this.turns = turns;
    this.changes = changes;
    this.plan = plan;
  }

  /**
   * What there is to undo and to do again.
   *
   * @param undoes what it takes back, in a few words; empty where nobody wrote it down
   */
  record Steps(boolean undo, boolean redo, String undoes, String redoes) {
    static Steps of(Optional<Change> undo, Optional<Change> redo) {
      return new Steps(undo.isPresent(), redo.isPresent(), undo.map(Change::words).orElse(""), redo.map(Change::words).orElse(""));
    }
  }

  @Transactional(readOnly = true)
  Steps of(long lifterId) {
    Optional<Change> newest = newest(lifterId);
    return Steps.of(newest, next(lifterId, newest.orElse(null)));
  }

  /** Undoes the newest change that stands; a sentence says what was done, or why not. */
  @Transactional
  public String undo(long lifterId, SignedIn who) {
    turns.ofLifter(lifterId);
    return newest(lifterId).map(change -> plan.undo(change.id(), who)).orElse("There is nothing to undo.");
  }

  /** Does the change again that was undone last. */
  @Transactional
  public String redo(long lifterId) {
    turns.ofLifter(lifterId);
    return next(lifterId, newest(lifterId).orElse(null)).map(plan::redo).orElse("There is nothing to do again.");
  }

  /** The same of what was written for a group. */
  @Transactional(readOnly = true)
  Steps ofGroup(long groupId) {
    Optional<Change> newest = changes.findFirstByGroupIdAndUndoneFalseOrderByIdDesc(groupId);
    return Steps.of(newest, nextOfGroup(groupId, newest.orElse(null)));
  }

  /** Keeps changes as one that was made for a group. */
  @Transactional
  public void together(List<Long> ids, long groupId) {
    UUID batch = UUID.randomUUID();
    changes.findAllById(ids).forEach(change -> change.together(batch, groupId));
  }

  /** Undoes what was written last for a group, for each as far as nothing came after it; a sentence says for how many. */
  @Transactional
  public String undoOfGroup(long groupId, SignedIn who) {
    List<Change> all = batch(changes.findFirstByGroupIdAndUndoneFalseOrderByIdDesc(groupId));
    all.stream().filter(change -> !change.undone()).forEach(change -> plan.undo(change.id(), who));
    long back = all.stream().filter(Change::undone).count();
    // what cannot be taken back any more stands by itself from now on
    all.stream().filter(change -> !change.undone()).forEach(Change::alone);
    return all.isEmpty() ? "There is nothing to undo." : "Taken back for " + back + "." + (back == all.size() ? "" : " " + (all.size() - back)
        + " changed or begun since: those stay.");
  }

  /** Does again for a group what was undone last. */
  @Transactional
  public String redoOfGroup(long groupId) {
    Change newest = changes.findFirstByGroupIdAndUndoneFalseOrderByIdDesc(groupId).orElse(null);
    List<Change> all = batch(nextOfGroup(groupId, newest));
    all.stream().filter(Change::undone).forEach(plan::redo);
    long again = all.stream().filter(change -> !change.undone()).count();
    all.stream().filter(Change::undone).forEach(Change::alone);
    return all.isEmpty() ? "There is nothing to do again." : "Done again for " + again + "." + (again == all.size() ? "" : " " + (all.size() - again)
        + " changed or begun since: those stay.");
  }

  private List<Change> batch(Optional<Change> one) {
    return one.map(change -> change.batch() == null ? List.of(change) : changes.findByBatchOrderById(change.batch())).orElse(List.of());
  }

  private Optional<Change> nextOfGroup(long groupId, @Nullable Change newest) {
    return changes.findFirstByGroupIdAndUndoneTrueAndIdGreaterThanOrderByUndoneAtDesc(groupId, newest == null ? 0 : newest.id());
  }

  private Optional<Change> newest(long lifterId) {
    return changes.findFirstByLifterIdAndSubjectInAndUndoneFalseOrderByIdDesc(lifterId, SUBJECTS);
  }

  /**
   * What is done again: of those behind all that stand the one undone last. One that was undone before others were written is
   * not in the way of these.
   */
  private Optional<Change> next(long lifterId, @Nullable Change newest) {
    return changes.findFirstByLifterIdAndSubjectInAndUndoneTrueAndIdGreaterThanOrderByUndoneAtDesc(lifterId, SUBJECTS, newest == null ? 0 : newest.id());
  }
}
