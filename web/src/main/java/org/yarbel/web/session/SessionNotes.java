package org.yarbel.web.session;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.call.EasyWay;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.CheckIn;
import org.yarbel.core.log.Context;
import org.yarbel.core.log.Pain;
import org.yarbel.core.log.SessionEffort;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.who.SignedIn;

/** Reads and writes down what is said of a session beside its sets. Who may is asked by whoever calls. */
@Service
public class SessionNotes {
  private static final int MOST_WORDS = 200;
  private static final Limit MOST_UNREAD = Limit.of(50);

  private final CheckedInRepository checkIns;
  private final SessionLogRepository logs;
  private final SessionWordRepository words;
  private final ClubClock clock;
  private final CurrentClub club;
  private final ApplicationEventPublisher events;

  SessionNotes(CheckedInRepository checkIns, SessionLogRepository logs, SessionWordRepository words, ClubClock clock, CurrentClub club,
      ApplicationEventPublisher events) {
    this.checkIns = checkIns;
    this.logs = logs;
    this.words = words;
    this.clock = clock;
    this.club = club;
    this.events = events;
  }

  /**
   * All that is said of a session.
   *
   * @param checkIn null where nobody was asked yet
   * @param log null where nothing was said
   * @param words about it, the oldest first
   * @param before the newest word of a coach about an earlier session since the lifter trained last; null without one
   */
  public record Told(@Nullable CheckedIn checkIn, @Nullable SessionLog log, List<SessionWord> words, @Nullable SessionWord before) {
    /** Nothing was said, or nobody asked. */
    public static final Told NOTHING = new Told(null, null, List.of(), null);

    /** What the day and the place make of every set of a lift. */
    public Set<Context> contextOf(Optional<Lift> lift) {
      Set<Context> context = EnumSet.noneOf(Context.class);
      lift.ifPresent(own -> said().map(said -> said.contextOf(own)).ifPresent(context::addAll));
      if (log != null && !log.liftedAt().isEmpty()) {
        context.add(Context.OTHER_PLACE);
      }
      return context;
    }

    /** What the lifter said of their day; empty where nobody said anything. */
    public Optional<CheckIn> said() {
      return Optional.ofNullable(checkIn).map(CheckedIn::said);
    }
  }

  /** What became of a word. */
  public sealed interface Outcome {
    /** Kept, or known already from the same word sent before. */
    record Kept() implements Outcome {}

    /** Somebody else said something in between, which is told first. */
    record Meanwhile(SessionWord theirs) implements Outcome {}

    /** There are as many as a session holds. */
    record Full() implements Outcome {}
  }

  /** All that is said of a session, in two questions to the database. */
  @Transactional(readOnly = true)
  public Told told(TrainingSession session) {
    SessionLogRepository.Both both = logs.both(session.id()).orElseThrow();
    List<SessionWord> all = words.ofCard(club.id(), session.lifterId(), session.id(), session.day(), MOST_WORDS);
    return new Told(both.getCheckIn(), both.getLog(), all.stream().filter(word -> word.sessionId() == session.id())
        .sorted((one, other) -> Long.compare(one.id(), other.id())).toList(),
        all.stream().filter(word -> word.sessionId() != session.id()).findFirst().orElse(null));
  }

  /** The day a session was lifted on, or will be: the one that was said, else its own, else today where that is to come. */
  @Transactional(readOnly = true)
  public LocalDate day(TrainingSession session) {
    return logs.findBySessionId(session.id()).map(SessionLog::liftedOn)
        .orElse(session.day().isAfter(clock.today()) ? clock.today() : session.day());
  }

  /** The day sets of a session are written down for. One that was to come and is lifted today says so from its first set on. */
  @Transactional(propagation = Propagation.MANDATORY)
  public LocalDate begin(TrainingSession session) {
    LocalDate day = day(session);
    if (session.day().isAfter(clock.today())) {
      SessionLog row = row(session);
      row.lifted(day, row.liftedAt());
      logs.saveAndFlush(row);
    }
    return day;
  }

  /** Writes down how somebody came to a session; what was said of that day before is replaced. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void checkIn(TrainingSession session, CheckIn said) {
    LocalDate day = day(session);
    CheckedIn row = checkIns.findByLifterIdAndDay(session.lifterId(), day).orElseGet(() -> new CheckedIn(session.lifterId(), day));
    row.tell(said, clock.now());
    checkIns.saveAndFlush(row);
    told(session, "check-in");
  }

  /** Makes a session easier on a low day; null for as planned. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void ease(TrainingSession session, @Nullable EasyWay way) {
    session.ease(way);
    told(session, "easier");
  }

  /** Adds what hurts to what was said of the day. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void hurts(TrainingSession session, Pain told) {
    CheckIn before = checkIns.findByLifterIdAndDay(session.lifterId(), day(session)).map(CheckedIn::said)
        .orElse(new CheckIn(null, null, null, null, List.of()));
    checkIn(session, before.with(told));
  }

  /** Says that something was said or done of a session beside the sets of its card. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void told(TrainingSession session, String what) {
    events.publishEvent(new SessionSaid(session.lifterId(), what));
  }

  /** Writes down how hard and how long a session was; null for what nobody says. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void was(TrainingSession session, @Nullable SessionEffort effort, @Nullable Integer minutes) {
    if (effort != null || minutes != null || logs.findBySessionId(session.id()).isPresent()) {
      SessionLog row = row(session);
      row.was(effort, minutes);
      logs.saveAndFlush(row);
    }
  }

  /** Writes down when and where a session was truly lifted; null and empty for as planned. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void lifted(TrainingSession session, @Nullable LocalDate on, String at) {
    LocalDate before = day(session);
    SessionLog row = row(session);
    row.lifted(session.day().equals(on) ? null : on, at);
    logs.saveAndFlush(row);
    LocalDate day = day(session);
    Optional<CheckedIn> told = before.equals(day) ? Optional.empty() : checkIns.findByLifterIdAndDay(session.lifterId(), before);
    if (told.isPresent() && checkIns.findByLifterIdAndDay(session.lifterId(), day).isEmpty()) {
      // how somebody came goes with the day they came on
      told.get().moveTo(day);
      checkIns.saveAndFlush(told.get());
    }
    told(session, "day");
  }

  private SessionLog row(TrainingSession session) {
    return logs.findBySessionId(session.id()).orElseGet(() -> new SessionLog(session.id(), session.lifterId()));
  }

  /** Whether a session holds as many words as it can. */
  @Transactional(readOnly = true)
  public boolean full(TrainingSession session) {
    return words.countBySessionId(session.id()) >= MOST_WORDS;
  }

  /**
   * Adds a word. A coach who has not seen what was said last is told first, so that two do not answer the same thing.
   *
   * @param seen the id of the newest word that was on the screen; 0 for none
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public Outcome say(TrainingSession session, SignedIn who, UUID key, String text, long seen) {
    if (words.findByEntryKey(key).isPresent()) {
      return new Outcome.Kept();
    }
    List<SessionWord> there = words.findBySessionIdOrderById(session.id(), Limit.of(MOST_WORDS));
    if (there.size() >= MOST_WORDS) {
      return new Outcome.Full();
    }
    Optional<SessionWord> meanwhile = there.stream().filter(word -> word.id() > seen)
        .filter(word -> !word.by(who)).reduce((one, later) -> later);
    if (who.staff() && meanwhile.isPresent()) {
      return new Outcome.Meanwhile(meanwhile.get());
    }
    SessionWord word = new SessionWord(session.id(), session.lifterId(), key, text);
    word.by(who, clock.now());
    words.saveAndFlush(word);
    there.stream().filter(other -> other.byCoach() != who.staff() && !other.read()).forEach(this::read);
    return new Outcome.Kept();
  }

  /** Somebody has read what the other side said of a session, up to a word. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void read(TrainingSession session, SignedIn who, long upTo) {
    words.ofCard(club.id(), session.lifterId(), session.id(), session.day(), MOST_WORDS).stream()
        .filter(word -> word.id() <= upTo && word.byCoach() != who.staff() && !word.read()).forEach(this::read);
  }

  private void read(SessionWord word) {
    word.read(clock.now());
    words.save(word);
  }

  /** What lifters said and no coach has read, the oldest first. */
  @Transactional(readOnly = true)
  public List<SessionWordRepository.Unread> unreadByCoaches() {
    return words.unreadByCoaches(MOST_UNREAD);
  }

  /** What coaches said to a lifter who has not read it, the oldest first. */
  @Transactional(readOnly = true)
  public List<SessionWord> unreadBy(long lifterId) {
    return words.unreadByLifter(lifterId, MOST_UNREAD);
  }
}
