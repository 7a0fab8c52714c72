package org.yarbel.web.club;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Changes of the club. */
public interface ChangeRepository extends JpaRepository<Change, Long> {
  Optional<Change> findFirstBySubjectAndSubjectIdAndUndoneFalseOrderByIdDesc(Change.Subject subject, long subjectId);

  /** The newest change of a group that stands. */
  Optional<Change> findFirstByGroupIdAndUndoneFalseOrderByIdDesc(Long groupId);

  /** Of the changes of a group made after another the one undone last. */
  Optional<Change> findFirstByGroupIdAndUndoneTrueAndIdGreaterThanOrderByUndoneAtDesc(Long groupId, long id);

  /** What was made as one. */
  List<Change> findByBatchOrderById(UUID batch);

  /** What the changes of a group did that stand, the newest first; those made as one once, with their number. */
  @Query("select max(c.id) as id, coalesce(max(c.words), '') as words, count(c) as changes from Change c where c.groupId = "
      + ":groupId and c.undone = false "
      + "group by c.batch order by max(c.id) desc")
  List<UndoLevel> levelsOfGroup(Long groupId, Limit most);

  /** The newest change of a lifter's plan that stands. */
  Optional<Change> findFirstByLifterIdAndSubjectAndUndoneFalseOrderByIdDesc(Long lifterId, Change.Subject subject);

  /** Of the changes of a lifter's plan made after another the one undone last. */
  Optional<Change> findFirstByLifterIdAndSubjectAndUndoneTrueAndIdGreaterThanOrderByUndoneAtDesc(Long lifterId,
      Change.Subject subject, long id);

  /** The newest changes of a lifter's plan, undone or not: what they did, without what stood before and after. */
  @Query("select c.id as id, coalesce(c.words, '') as words, c.undone as undone, c.undoneAt as undoneAt from Change c "
      + "where c.lifterId = :lifterId and c.subject = :subject order by c.id desc")
  List<ToldChange> newest(Long lifterId, Change.Subject subject, Limit most);

  /** What a change did. */
  interface ToldChange {
    long getId();

    String getWords();

    boolean getUndone();

    /** When; null where it stands. */
    @Nullable Instant getUndoneAt();
  }

  /** What one step back takes back. */
  interface UndoLevel {
    /** The newest of its changes. */
    long getId();

    String getWords();

    /** How many changes were made as one. */
    long getChanges();
  }
}
