package org.yarbel.web.board;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.program.Days;

/** Undo and redo of everything on a lifter's board, the newest change first. */
@Service
class History {
  private static final List<String> SUBJECTS = List.of("slot", Arranging.SUBJECT, Days.SUBJECT);

  private final ChangeRepository changes;
  private final PlanService plan;

  History(ChangeRepository changes, PlanService plan) {
    this.changes = changes;
    this.plan = plan;
  }

  /** Whether there is something to undo and to do again. */
  record Steps(boolean undo, boolean redo) {}

  @Transactional(readOnly = true)
  Steps of(long lifterId) {
    Optional<Change> newest = newest(lifterId);
    return new Steps(newest.isPresent(), next(lifterId, newest.orElse(null)).isPresent());
  }

  /** Undoes the newest change that stands; a sentence says what was done, or why not. */
  @Transactional
  public String undo(long lifterId, SignedIn who) {
    return newest(lifterId).map(change -> plan.undo(change.id(), who)).orElse("There is nothing to undo.");
  }

  /** Does the change again that was undone last. */
  @Transactional
  public String redo(long lifterId) {
    return next(lifterId, newest(lifterId).orElse(null)).map(plan::redo).orElse("There is nothing to do again.");
  }

  /** Undoes changes that were made as one, for several lifters; a sentence says for how many. */
  @Transactional
  public String undo(List<Long> ids, SignedIn who) {
    ids.forEach(id -> plan.undo(id, who));
    long back = changes.findAllById(ids).stream().filter(Change::undone).count();
    return "Taken back for " + back + "." + (back == ids.size() ? "" : " " + (ids.size() - back)
        + " changed or begun since: those stay.");
  }

  private Optional<Change> newest(long lifterId) {
    return changes.findFirstByLifterIdAndSubjectInAndUndoneFalseOrderByIdDesc(lifterId, SUBJECTS);
  }

  /** Changes are undone from the newest on, so the next to do again is the oldest undone one behind all that stand. */
  private Optional<Change> next(long lifterId, @Nullable Change newest) {
    return changes.findFirstByLifterIdAndSubjectInAndUndoneTrueAndIdGreaterThanOrderByIdAsc(lifterId, SUBJECTS, newest == null ? 0 : newest.id());
  }
}
