package org.yarbel.web.calendar;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Turns;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** The calendar of a lifter, and the private addresses it is asked by. */
@Service
class Calendars {
  private static final int WEEKS_BACK = 4;
  private static final int WEEKS_AHEAD = 26;
  private static final int KEPT_DAYS = 400;
  /** More addresses a day are made by no person. */
  private static final int MOST_A_DAY = 10;

  private final LifterRepository lifters;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LifterContexts contexts;
  private final LongPlans plans;
  private final Contests contests;
  private final JdbcClient jdbc;
  private final CurrentClub club;
  private final TransactionTemplate transaction;
  private final ClubClock clock;
  private final Turns turns;

  Calendars(LifterRepository lifters, TrainingSessionRepository sessions, SlotRepository slots, LifterContexts contexts,
      LongPlans plans, Contests contests, JdbcClient jdbc, CurrentClub club, TransactionTemplate transaction, ClubClock clock,
      Turns turns) {
    this.turns = turns;
    this.lifters = lifters;
    this.sessions = sessions;
    this.slots = slots;
    this.contexts = contexts;
    this.plans = plans;
    this.contests = contests;
    this.jdbc = jdbc;
    this.club = club;
    this.transaction = transaction;
    this.clock = clock;
  }

  /** The calendar of a lifter of the club in force, as text. */
  @Transactional(readOnly = true)
  public String of(long lifterId) {
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    LocalDate today = clock.today();
    LocalDate from = Macrocycle.monday(today).minusWeeks(WEEKS_BACK);
    LocalDate until = Macrocycle.monday(today).plusWeeks(WEEKS_AHEAD);
    List<CalendarDocument.CalendarEntry> entries = new ArrayList<>(sessions(lifter, from, until, today));
    contests.of(lifterId).forEach(going -> contest(lifter, going, entries));
    entries.sort(Comparator.comparing(CalendarDocument.CalendarEntry::day));
    return CalendarDocument.write(lifter.name() + ", training", entries, clock.now());
  }

  private List<CalendarDocument.CalendarEntry> sessions(Lifter lifter, LocalDate from, LocalDate until, LocalDate today) {
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), from, until.minusDays(1));
    Map<Long, List<Slot>> lines = slots.findBySessionIdInOrderByPositionAscIdAsc(all.stream().map(TrainingSession::id).toList()).stream()
        .collect(Collectors.groupingBy(Slot::sessionId, LinkedHashMap::new, Collectors.toList()));
    LifterContext context = contexts.of(lifter, null);
    Map<LocalDate, List<String[]>> days = new TreeMap<>();
    Set<LocalDate> written = new LinkedHashSet<>();
    all.forEach(session -> lines.getOrDefault(session.id(), List.of()).forEach(slot -> {
      days.computeIfAbsent(session.day(), day -> new ArrayList<>()).add(new String[] {name(context.lifts(), slot.lift()), slot.work()});
      if (slot.origin() != null) {
        written.add(Macrocycle.monday(session.day()));
      }
    }));
    plans.of(lifter.id()).ifPresent(kept -> LongPlans.ahead(kept.plan(), context, today.plusDays(1), until, written)
        .forEach(line -> days.computeIfAbsent(line.day(), day -> new ArrayList<>())
            .add(new String[] {name(context.lifts(), line.lift()), line.work()})));
    List<CalendarDocument.CalendarEntry> entries = new ArrayList<>();
    days.forEach((day, of) -> entries.add(new CalendarDocument.CalendarEntry("session-" + day + "-" + uid(lifter), day,
        of.stream().map(line -> line[0]).distinct()
        .limit(3).collect(Collectors.joining(", ")), of.stream().map(line -> line[0] + " " + line[1])
        .collect(Collectors.joining("\n")), "")));
    return entries;
  }

  private static String name(Catalogue lifts, String key) {
    return lifts.ofKey(key).map(Lift::name).orElse(key);
  }

  private static String uid(Lifter lifter) {
    return lifter.ref() + "@yarbel";
  }

  private void contest(Lifter lifter, Contests.Going going, List<CalendarDocument.CalendarEntry> entries) {
    Contest contest = going.contest();
    if (!contest.takesPlace()) {
      return;
    }
    Contest.ContestSaid said = contest.said();
    LocalDate day = Objects.requireNonNull(contest.day());
    String where = said.place();
    entries.add(new CalendarDocument.CalendarEntry("contest-" + contest.ref() + "-" + uid(lifter), day, contest.name(), said.rules().word()
        + (going.entry().weightClass().isEmpty() ? "" : ", class " + going.entry().weightClass()), where));
    LocalDate weighIn = going.entry().weighIn();
    if (weighIn != null) {
      entries.add(new CalendarDocument.CalendarEntry("weigh-in-" + contest.ref() + "-" + uid(lifter), weighIn, "Weigh-in, "
          + contest.name(), going.entry()
          .weightClass().isEmpty() ? "" : "Class " + going.entry().weightClass(), where));
    }
  }

  /** When the address in force was made; null when there is none. */
  @Nullable LocalDate feedSince(long lifterId) {
    return jdbc.sql("select made at time zone 'UTC' from calendar_feed where club_id = :club and lifter_id = :lifter and "
        + "revoked is null order by id desc limit 1")
        .param("club", club.id()).param("lifter", lifterId).query(LocalDateTime.class).optional().map(LocalDateTime::toLocalDate)
        .orElse(null);
  }

  /** Makes a new address in place of the one there is, and tells it: it cannot be shown again. Empty after very many a day. */
  @Transactional
  public Optional<String> makeFeed(long lifterId, SignedIn who) {
    turns.ofLifter(lifterId);
    lifters.findById(lifterId).orElseThrow(NotFound::new);
    int today = jdbc.sql("select count(*) from calendar_feed where club_id = :club and lifter_id = :lifter and made > :since")
        .param("club", club.id())
        .param("lifter", lifterId).param("since", clock.now().minus(Duration.ofDays(1)).atOffset(ZoneOffset.UTC))
        .query(Integer.class).single();
    if (today >= MOST_A_DAY) {
      return Optional.empty();
    }
    // who is to know an old one is gone: the newest few stay on record
    jdbc.sql("delete from calendar_feed where club_id = :club and lifter_id = :lifter and revoked is not null and made < :since")
        .param("club", club.id())
        .param("lifter", lifterId).param("since", clock.now().minus(Duration.ofDays(KEPT_DAYS)).atOffset(ZoneOffset.UTC)).update();
    revoke(lifterId);
    String text = Secrets.make();
    jdbc.sql("insert into calendar_feed (id, club_id, lifter_id, token_hash, account_id, made) values (nextval('yarbel_id'), "
        + ":club, :lifter, :hash, :account, :made)")
        .param("club", club.id()).param("lifter", lifterId).param("hash", Secrets.fingerprint(text)).param("account", who.accountId())
        .param("made", clock.now().atOffset(ZoneOffset.UTC)).update();
    return Optional.of(text);
  }

  /** Revokes the address. */
  @Transactional
  public void revoke(long lifterId) {
    jdbc.sql("update calendar_feed set revoked = :now where club_id = :club and lifter_id = :lifter and revoked is null")
        .param("now", clock.now().atOffset(ZoneOffset.UTC)).param("club", club.id()).param("lifter", lifterId).update();
  }

  /** The calendar behind an address; empty when nobody has it, or it was revoked. */
  Optional<String> byToken(String token) {
    record Feed(long clubId, long lifterId) {}
    return jdbc.sql("select club_id, lifter_id from calendar_feed where token_hash = :hash and revoked is null")
        .param("hash", Secrets.fingerprint(token)).query(Feed.class)
        .optional().map(feed -> club.within(feed.clubId(), () -> transaction.execute(status -> of(feed.lifterId()))));
  }
}
