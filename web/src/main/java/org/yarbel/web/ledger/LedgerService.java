package org.yarbel.web.ledger;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.clip.Clip;
import org.yarbel.web.clip.ClipRepository;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SetMark;
import org.yarbel.web.log.SetMarkRepository;
import org.yarbel.web.log.TrackedPoint;
import org.yarbel.web.log.TrackedPointRepository;
import org.yarbel.web.program.LongPlanRepository;

/** Reads the Ledger of one lift: a page of its sets and a stretch of its tracked max, never all of either. */
@Service
class LedgerService {
  private static final int PAGE = 120;
  private static final int BEST = 24;
  /** More points than this no picture shows. */
  private static final int MOST_POINTS = 300;

  private final LoggedSetRepository log;
  private final SetMarkRepository marks;
  private final TrackedPointRepository points;
  private final LongPlanRepository plans;
  private final CoreJson json;
  private final CurrentClub club;
  private final ClipRepository films;

  LedgerService(LoggedSetRepository log, SetMarkRepository marks, TrackedPointRepository points, LongPlanRepository plans, CoreJson json,
      CurrentClub club, ClipRepository films) {
    this.films = films;
    this.log = log;
    this.marks = marks;
    this.points = points;
    this.plans = plans;
    this.json = json;
    this.club = club;
  }

  /**
   * A page of sets.
   *
   * @param clips of each set, by its row
   * @param more whether older ones follow
   */
  record Page(List<LoggedSetRow> rows, Map<Long, List<SetMark>> marks, Map<Long, List<Clip>> clips, boolean more) {}

  /** A block of the long plan, for the picture. */
  record LedgerBlock(LocalDate from, LocalDate until, String name) {}

  @Transactional(readOnly = true)
  Page page(Lifter lifter, String lift, LocalDate before, LedgerFilter only) {
    List<LoggedSetRow> page = log.ledger(club.id(), lifter.id(), lift, before, only.key(), PAGE);
    List<LoggedSetRow> rows = wholeDays(page);
    Map<Long, List<SetMark>> seen = new HashMap<>();
    if (!rows.isEmpty()) {
      marks.findBySetIdInOrderById(rows.stream().map(LoggedSetRow::id).toList())
          .forEach(mark -> seen.computeIfAbsent(mark.setId(), id -> new ArrayList<>()).add(mark));
    }
    return new Page(rows, seen, clips(rows), page.size() == PAGE);
  }

  private Map<Long, List<Clip>> clips(List<LoggedSetRow> rows) {
    Map<Long, List<Clip>> of = new HashMap<>();
    List<Long> sessions = rows.stream().filter(row -> !row.told()).map(LoggedSetRow::sessionId).distinct().toList();
    List<Clip> all = sessions.isEmpty() ? List.of() : films.there(sessions);
    for (Clip clip : all) {
      rows.stream().filter(row -> row.sessionId() == clip.sessionId() && clip.isOf(row.line(), row.loggedSet().place())).findFirst()
          .ifPresent(row -> of.computeIfAbsent(row.id(), id -> new ArrayList<>()).add(clip));
    }
    return of;
  }

  // The last day of a full page may be cut: it is left to the next page, which shows it whole.
  private static List<LoggedSetRow> wholeDays(List<LoggedSetRow> page) {
    LocalDate last = page.isEmpty() ? null : page.get(page.size() - 1).day();
    return page.size() < PAGE || page.get(0).day().equals(last) ? page : page.stream().filter(row -> !row.day().equals(last)).toList();
  }

  /** The most reps at each load, the heaviest first: the mark to beat. */
  @Transactional(readOnly = true)
  List<LoggedSetRepository.Best> best(Lifter lifter, String lift) {
    return log.best(club.id(), lifter.id(), lift, BEST);
  }

  /** The tracked max of a stretch; of a long one so many points as a picture can show. */
  @Transactional(readOnly = true)
  List<TrackedPoint> points(Lifter lifter, String lift, LedgerStretch stretch) {
    return points.stretch(club.id(), lifter.id(), lift, stretch.from(), stretch.until(), Math.max(1, (int) (stretch.days() / MOST_POINTS)));
  }

  /** The blocks of the long plan that reach into a stretch. */
  @Transactional(readOnly = true)
  List<LedgerBlock> blocks(Lifter lifter, LedgerStretch stretch) {
    return plans.findByLifterIdIn(List.of(lifter.id())).stream().map(row -> row.plan(json)).map(Macrocycle::placed).flatMap(List::stream)
        .filter(placed -> placed.monday().isBefore(stretch.until()) && placed.end().isAfter(stretch.from()))
        .map(placed -> new LedgerBlock(placed.monday(), placed.end(), placed.block().purpose().word())).toList();
  }
}
