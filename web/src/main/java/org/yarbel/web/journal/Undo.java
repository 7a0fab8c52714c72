package org.yarbel.web.journal;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.Count;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.club.Turns;
import org.yarbel.web.club.Undoing;
import org.yarbel.web.problem.NotFound;

/** Undo and redo of everything written into the plan of a lifter or of a group, the newest change first. */
@Service
public class Undo {
  /** So many steps back are told beforehand, and taken at once at the most. */
  public static final int LEVELS = 5;

  /** So many of the newest changes are looked at for what can be undone and done again. */
  private static final Limit LOOKED_AT = Limit.of(60);

  private final ChangeRepository changes;
  private final Map<Change.Subject, Undoing> undoing;
  private final Turns turns;

  Undo(ChangeRepository changes, List<Undoing> undoing, Turns turns) {
    this.changes = changes;
    this.undoing = undoing.stream().collect(Collectors.toMap(Undoing::subject, Function.identity()));
    this.turns = turns;
  }

  /**
   * What there is to undo and to do again.
   *
   * @param levels what the steps back take back, in a few words, the newest first; empty texts where nobody wrote it down
   * @param redoes what is done again; null for nothing
   */
  public record Steps(List<String> levels, @Nullable String redoes) {
    static Steps of(List<ChangeRepository.UndoLevel> levels, Optional<Change> redo) {
      return new Steps(levels.stream().map(Steps::words).toList(), redo.map(change -> change.words() == null ? "" : change.words())
          .orElse(null));
    }

    /** From the newest changes: of those behind all that stand the one undone last is done again. */
    static Steps of(List<ChangeRepository.ToldChange> newest) {
      List<ChangeRepository.ToldChange> stand = newest.stream().filter(change -> !change.getUndone()).toList();
      long last = stand.isEmpty() ? 0 : stand.get(0).getId();
      String redo = newest.stream().filter(change -> change.getUndone() && change.getId() > last && change.getUndoneAt() != null)
          .max(Comparator.comparing(ChangeRepository.ToldChange::getUndoneAt)).map(ChangeRepository.ToldChange::getWords).orElse(null);
      return new Steps(stand.stream().limit(LEVELS).map(ChangeRepository.ToldChange::getWords).toList(), redo);
    }

    private static String words(ChangeRepository.UndoLevel level) {
      return level.getWords() + (level.getChanges() > 1 ? ", for " + Count.of((int) level.getChanges(), "lifter") : "");
    }

    /** Takes the newest steps back, as far as they go. */
    public boolean undo() {
      return !levels.isEmpty();
    }

    /** Does the steps again that were taken back last. */
    public boolean redo() {
      return redoes != null;
    }

    /** What the next step takes back; empty where there is none. */
    public String undoes() {
      return levels.isEmpty() ? "" : levels.get(0);
    }
  }

  @Transactional(readOnly = true)
  public Steps of(long lifterId) {
    return Steps.of(changes.newest(lifterId, Change.Subject.PLAN, LOOKED_AT));
  }

  /** The same of what was written for a group. */
  @Transactional(readOnly = true)
  public Steps ofGroup(long groupId) {
    List<ChangeRepository.UndoLevel> levels = changes.levelsOfGroup(groupId, Limit.of(LEVELS));
    return Steps.of(levels, nextOfGroup(groupId, newest(levels)));
  }

  /** The lifter a change was about. */
  @Transactional(readOnly = true)
  public long lifterOf(long changeId) {
    return ofPlan(changeId).lifterId();
  }

  /** Undoes a change where what it touched stands as it left it; a sentence says what was done, or why not. */
  @Transactional
  public String change(long changeId) {
    turns.ofChange(changeId);
    return back(ofPlan(changeId)).sentence();
  }

  /** The same, and whether it was done. */
  @Transactional
  public Undoing.UndoOutcome outcome(long changeId) {
    turns.ofChange(changeId);
    return back(ofPlan(changeId));
  }

  private Change ofPlan(long changeId) {
    return changes.findById(changeId).filter(change -> change.subject() == Change.Subject.PLAN).orElseThrow(NotFound::new);
  }

  /** Undoes the newest changes that stand, so many; a sentence says what was done, or why not. */
  @Transactional
  public String undo(long lifterId, int steps) {
    turns.ofLifter(lifterId);
    Undoing.UndoOutcome outcome = Undoing.UndoOutcome.refused("There is nothing to undo.");
    for (int step = 0; step < Math.min(steps, LEVELS) && (step == 0 || outcome.done()); step++) {
      Optional<Change> newest = newest(lifterId);
      if (newest.isEmpty()) {
        break;
      }
      outcome = back(newest.get());
    }
    return outcome.sentence();
  }

  /** Does the change again that was undone last. */
  @Transactional
  public String redo(long lifterId) {
    turns.ofLifter(lifterId);
    return next(lifterId, newest(lifterId).map(Change::id).orElse(0L)).map(change -> again(change).sentence())
        .orElse("There is nothing to do again.");
  }

  /** Keeps changes as one that was made for a group. */
  @Transactional
  public void together(List<Long> ids, long groupId) {
    UUID batch = UUID.randomUUID();
    changes.findAllById(ids).forEach(change -> change.together(batch, groupId));
  }

  /** The same of what was written for a group. */
  @Transactional
  public String undoOfGroup(long groupId, int steps) {
    String said = undoOfGroup(groupId);
    for (int step = 1; step < Math.min(steps, LEVELS) && changes.findFirstByGroupIdAndUndoneFalseOrderByIdDesc(groupId)
        .isPresent(); step++) {
      said = undoOfGroup(groupId);
    }
    return said;
  }

  /** For each as far as nothing came after it; a sentence says for how many. */
  private String undoOfGroup(long groupId) {
    List<Change> all = batch(changes.findFirstByGroupIdAndUndoneFalseOrderByIdDesc(groupId));
    all.stream().filter(change -> !change.undone()).forEach(this::back);
    List<Change> stay = all.stream().filter(change -> !change.undone()).toList();
    // what cannot be taken back any more stands by itself from now on
    stay.forEach(Change::alone);
    return all.isEmpty() ? "There is nothing to undo." : "Taken back for " + (all.size() - stay.size()) + "." + stay(stay);
  }

  /** Does again for a group what was undone last. */
  @Transactional
  public String redoOfGroup(long groupId) {
    long newest = changes.findFirstByGroupIdAndUndoneFalseOrderByIdDesc(groupId).map(Change::id).orElse(0L);
    List<Change> all = batch(nextOfGroup(groupId, newest));
    all.stream().filter(Change::undone).forEach(this::again);
    List<Change> stay = all.stream().filter(Change::undone).toList();
    stay.forEach(Change::alone);
    return all.isEmpty() ? "There is nothing to do again." : "Done again for " + (all.size() - stay.size()) + "." + stay(stay);
  }

  private static String stay(List<Change> stay) {
    return stay.isEmpty() ? "" : " " + stay.size() + " changed or begun since: those stay.";
  }

  private Undoing.UndoOutcome back(Change change) {
    return of(change).undo(change);
  }

  private Undoing.UndoOutcome again(Change change) {
    return of(change).redo(change);
  }

  private Undoing of(Change change) {
    return Optional.ofNullable(undoing.get(change.subject())).orElseThrow(NotFound::new);
  }

  private List<Change> batch(Optional<Change> one) {
    return one.map(change -> change.batch() == null ? List.of(change) : changes.findByBatchOrderById(change.batch())).orElse(List.of());
  }

  private static long newest(List<ChangeRepository.UndoLevel> levels) {
    return levels.isEmpty() ? 0 : levels.get(0).getId();
  }

  private Optional<Change> nextOfGroup(long groupId, long newest) {
    return changes.findFirstByGroupIdAndUndoneTrueAndIdGreaterThanOrderByUndoneAtDesc(groupId, newest);
  }

  private Optional<Change> newest(long lifterId) {
    return changes.findFirstByLifterIdAndSubjectAndUndoneFalseOrderByIdDesc(lifterId, Change.Subject.PLAN);
  }

  /**
   * What is done again: of those behind all that stand the one undone last. One that was undone before others were written is
   * not in the way of these.
   */
  private Optional<Change> next(long lifterId, long newest) {
    return changes.findFirstByLifterIdAndSubjectAndUndoneTrueAndIdGreaterThanOrderByUndoneAtDesc(lifterId, Change.Subject.PLAN, newest);
  }
}
