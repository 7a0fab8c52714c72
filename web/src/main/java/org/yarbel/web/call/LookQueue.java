package org.yarbel.web.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.CallFigure;
import org.yarbel.core.call.Urgency;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.OwnLifters;
import org.yarbel.web.group.GroupMembers;
import org.yarbel.web.session.SessionNotes;
import org.yarbel.web.watch.Thresholds;

/** Whose week a coach has still to look at, in the order they come, filtered as the coach likes; in a fixed number of queries. */
@Service
public class LookQueue {
  /** From Thursday on the week at hand is looked at, before that the one that has just ended. */
  private static final int TURNS_ON = 3;
  private static final int MOST = 300;

  private final JdbcClient jdbc;
  private final CurrentClub club;
  private final ClubClock clock;
  private final GroupMembers groups;
  private final SessionNotes notes;
  private final Thresholds thresholds;
  private final OwnLifters own;

  LookQueue(JdbcClient jdbc, CurrentClub club, ClubClock clock, GroupMembers groups, SessionNotes notes,
      Thresholds thresholds, OwnLifters own) {
    this.own = own;
    this.jdbc = jdbc;
    this.club = club;
    this.clock = clock;
    this.groups = groups;
    this.notes = notes;
    this.thresholds = thresholds;
  }

  /** Which lifters are wanted. */
  enum Only {
    ALL("all"),
    WAITING("not sent yet"),
    CALLS("with calls"),
    NOTES("with new notes"),
    PAIN("with pain"),
    SILENT("silent for a week"),
    CONTEST("with a contest ahead");

    private final String word;

    Only(String word) {
      this.word = word;
    }

    /** The words a person reads: {@code with pain}. */
    public String word() {
      return word;
    }

    /** Its name in addresses. */
    public String key() {
      return name().toLowerCase(Locale.ROOT);
    }

    static Only of(String key) {
      for (Only only : values()) {
        if (only.key().equals(key)) {
          return only;
        }
      }
      return ALL;
    }
  }

  /**
   * Which lifters a coach goes through.
   *
   * @param group 0 for everybody
   */
  record Chosen(long group, Only only) {
    /** As it is carried on in addresses. */
    String query() {
      return "group=" + group + "&only=" + only.key();
    }
  }

  /**
   * A lifter of the queue.
   *
   * @param planned sessions of the week
   * @param done of them begun
   * @param silent whether nothing was lifted for a week
   */
  record Waiting(long lifterId, String name, boolean sent, long calls, boolean caution, boolean notes, boolean pain, boolean silent,
      boolean contest, int planned, int done) {
    boolean is(Only only) {
      return switch (only) {
        case ALL -> true;
        case WAITING -> !sent;
        case CALLS -> calls > 0;
        case NOTES -> notes;
        case PAIN -> pain;
        case SILENT -> silent;
        case CONTEST -> contest;
      };
    }
  }

  /** The Monday of the week that is looked at now. */
  LocalDate monday() {
    return Macrocycle.monday(clock.today().minusDays(TURNS_ON));
  }

  private record Row(long id, String name, boolean sent, int planned, int done, boolean pain, boolean silent, boolean contest,
      long calls, boolean caution) {}

  /** The lifters chosen, by name, those with something to say first. */
  @Transactional(readOnly = true)
  List<Waiting> of(LocalDate monday, Chosen chosen) {
    Set<Long> members = chosen.group() == 0 ? Set.of() : new HashSet<>(groups.of(chosen.group()));
    Set<Long> noted = notes.unreadByCoaches().stream().map(one -> one.getWord().lifterId()).collect(Collectors.toSet());
    return rows(monday).stream().filter(row -> chosen.group() == 0 || members.contains(row.id())).map(row ->
        new Waiting(row.id(), row.name(), row.sent(), row.calls(), row.caution(), noted.contains(row.id()), row.pain(), row.silent(),
            row.contest(), row.planned(), row.done())).filter(one -> one.is(chosen.only())).toList();
  }

  private List<Row> rows(LocalDate monday) {
    LocalDate today = clock.today();
    return jdbc.sql("""
        select l.id, l.name,
            exists (select 1 from weekly_look w where w.club_id = l.club_id and w.lifter_id = l.id and w.monday = :monday) as sent,
          (select count(*) from training_session t where t.club_id = l.club_id and t.lifter_id = l.id and t.day >= :monday
            and t.day < :end and exists (select 1 from slot s where s.club_id = t.club_id and s.session_id = t.id)) as planned,
          (select count(*) from training_session t where t.club_id = l.club_id and t.lifter_id = l.id and t.day >= :monday
            and t.day < :end and exists (select 1 from logged_set g where g.club_id = t.club_id and g.session_id = t.id)) as done,
          exists (select 1 from checked_in c, jsonb_array_elements(c.pains::jsonb) p where c.club_id = l.club_id and c.lifter_id = l.id
            and c.day > :recently and (p ->> 'score')::int >= :pain) or exists (select 1 from complaint c where c.club_id = l.club_id
            and c.lifter_id = l.id and c.over_on is null and c.score >= :pain) as pain,
          not exists (select 1 from logged_set g where g.club_id = l.club_id and g.lifter_id = l.id and g.day > :recently) as silent,
          exists (select 1 from contest_entry e join contest k on k.club_id = e.club_id and k.id = e.contest_id where e.club_id = l.club_id
            and e.lifter_id = l.id and k.state = 'PLANNED' and not k.gone and k.day >= :today) as contest,
          (select count(*) from coach_call c where c.club_id = l.club_id and c.lifter_id = l.id and c.state = 'OPEN') as calls,
          exists (select 1 from coach_call c where c.club_id = l.club_id and c.lifter_id = l.id and c.state = 'OPEN'
            and c.urgency = :caution) as caution
        from lifter l where l.club_id = :club and (:coach = 0 or l.coach_id = :coach or l.coach_id is null) order by lower(l.name),
            l.id limit :most""").param("club", club.id()).param("coach", own.coach())
        .param("monday", monday).param("end", monday.plusWeeks(1)).param("recently", today.minusWeeks(1)).param("today", today)
        .param("pain", (int) thresholds.values().of(CallFigure.CALL_PAIN)).param("most", MOST)
        .param("caution", Urgency.CAUTION.ordinal()).query(Row.class).list();
  }

  /** Where a lifter stands among those chosen. */
  record Place(int number, int all, @Nullable Waiting before, @Nullable Waiting next) {}

  /** The lifters before and after one; of one who is not among them the first that waits. */
  Place place(List<Waiting> all, long lifterId) {
    int at = -1;
    for (int i = 0; i < all.size(); i++) {
      at = all.get(i).lifterId() == lifterId ? i : at;
    }
    List<Waiting> others = new ArrayList<>(all);
    Optional<Waiting> first = others.stream().filter(one -> !one.sent() && one.lifterId() != lifterId).findFirst();
    if (at < 0) {
      return new Place(0, all.size(), null, first.orElse(null));
    }
    return new Place(at + 1, all.size(), at > 0 ? all.get(at - 1) : null, at + 1 < all.size() ? all.get(at + 1) : null);
  }

  /**
   * How many looks are sent, and how many there are to send, this week.
   *
   * @param calls how many wait of each lifter of whom any does
   */
  public record Sent(int waiting, int all, Map<Long, Long> calls) {}

  /** Of those who had something planned in the week. */
  @Transactional(readOnly = true)
  public Sent sent() {
    List<Row> all = rows(monday());
    List<Row> planned = all.stream().filter(row -> row.planned() > 0).toList();
    return new Sent((int) planned.stream().filter(row -> !row.sent()).count(), planned.size(), all.stream().filter(row -> row.calls() > 0)
        .collect(Collectors.toMap(Row::id, Row::calls)));
  }
}
