package org.yarbel.web.platform;

import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthlete.AthleteSaid;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/**
 * Takes what is entered of a contest's day. An entry comes with its key and with what whoever made it saw before; the same key again is
 * the same entry, and what two phones say alike is one. Where they differ, the second is asked.
 */
@Service
public class PlatformLog {
  static final String PERSON = "person";
  private static final String EVENT = "event ";
  private static final int MOST_EVENTS = 20;
  private static final int MOST_WORDS = 300;

  private final Contests contests;
  private final ContestAthleteRepository athletes;
  private final AttemptRows attempts;
  private final ResultRows results;
  private final NoteRows notes;
  private final Lifts lifts;
  private final CoreJson json;
  private final ClubClock clock;

  PlatformLog(Contests contests, ContestAthleteRepository athletes, AttemptRows attempts, ResultRows results, NoteRows notes, Lifts lifts,
      CoreJson json, ClubClock clock) {
    this.contests = contests;
    this.athletes = athletes;
    this.attempts = attempts;
    this.results = results;
    this.notes = notes;
    this.lifts = lifts;
    this.json = json;
    this.clock = clock;
  }

  /**
   * An attempt as somebody wants it to stand.
   *
   * @param seen what stood there for whoever made it, as {@link Kept#seen} says it
   * @param verdict null for one that is handed in
   * @param record whether it goes by the step of records
   */
  public record AttemptEntry(UUID key, AttemptSpot spot, String seen, Mass load, @Nullable Verdict verdict, boolean record) {}

  /** A result as somebody wants it to stand; null takes it out. */
  public record ResultEntry(UUID key, int event, String seen, @Nullable EventResult result) {}

  /** What became of an entry. */
  public sealed interface Outcome {
    /** It stands, from now or before. */
    record Stands() implements Outcome {}

    /**
     * Something else stands there meanwhile.
     *
     * @param now as {@link Kept#seen} says it
     * @param words what stands there, and who wrote it
     */
    record Differs(String now, String words) implements Outcome {}
  }

  private ContestAthlete held(long contestId, long athleteId) {
    return athletes.held(athleteId).filter(athlete -> athlete.contestId() == contestId && !athlete.said().gone())
        .orElseThrow(NotFound::new);
  }

  /** A day that went into the log stands as it is there. */
  private static void open(ContestAthlete athlete) {
    if (athlete.loggedAt() != null) {
      throw new Refused("The day is in the log already: take it out on the summary page first");
    }
  }

  private boolean known(UUID key) {
    return notes.findByEntryKey(key).isPresent();
  }

  /**
   * Takes an attempt.
   *
   * @throws Refused where the rules do not allow it
   */
  @Transactional
  public Outcome attempt(long contestId, long athleteId, AttemptEntry entry, SignedIn who) {
    Contest contest = contests.contest(contestId);
    ContestAthlete athlete = held(contestId, athleteId);
    if (known(entry.key())) {
      return new Outcome.Stands();
    }
    open(athlete);
    RuleSet rules = contest.daySheet().rules();
    if (!rules.platform().lifts().contains(entry.spot().lift())) {
      throw new Refused("That lift is not contested here");
    }
    AttemptRow row = attempts.findByAthleteIdAndLiftAndNumber(athleteId, entry.spot().lift(), entry.spot().number()).orElse(null);
    Attempt now = row == null ? null : row.attempt();
    Attempt wanted = wanted(now, entry);
    if (now != null && Kept.of(now).equals(Kept.of(wanted))) {
      return new Outcome.Stands();
    }
    boolean same = now != null && Kept.seen(now).equals(Kept.seen(wanted));
    if (!same && !Kept.seen(now).equals(entry.seen())) {
      return new Outcome.Differs(Kept.seen(now), differs(contestId, athleteId, entry.spot(), now));
    }
    if (!same) {
      check(rules, day(athleteId, entry.spot().lift()), now, wanted, entry);
    }
    boolean changes = now != null && now.verdict() == null && !now.load().equals(wanted.load());
    Attempt kept = new Attempt(wanted.number(), wanted.load(), (now == null ? 0 : now.changed()) + (changes ? 1 : 0), wanted.verdict());
    put(athlete, entry.spot(), row, kept, note(athlete, entry.key(), new NoteRow.Changed(entry.spot().key(), words(entry.spot(), kept),
        Kept.of(now), Kept.of(kept)), who).id());
    return new Outcome.Stands();
  }

  /** What it comes to with what is known already: how it looked, or why it was not good, stays where it is not said anew. */
  private static Attempt wanted(@Nullable Attempt now, AttemptEntry entry) {
    Verdict said = entry.verdict();
    Verdict before = now == null ? null : now.verdict();
    Verdict verdict = said;
    if (said != null && before != null && said.good() == before.good()) {
      verdict = new Verdict(said.good(), said.whites() == null ? before.whites() : said.whites(),
          said.reason() == null ? before.reason() : said.reason(), said.look() == null ? before.look() : said.look());
    }
    return new Attempt(entry.spot().number(), entry.load(), now == null ? 0 : now.changed(), verdict);
  }

  private LiftDay day(long athleteId, String lift) {
    return new LiftDay(lift, attempts.of(List.of(athleteId)).stream().filter(row -> row.lift().equals(lift)).map(AttemptSeen::attempt)
        .toList());
  }

  private static void check(RuleSet rules, LiftDay day, @Nullable Attempt now, Attempt wanted, AttemptEntry entry) {
    if (now != null && now.verdict() != null) {
      corrects(day, now, wanted);
      return;
    }
    if (wanted.number() != day.next()) {
      throw new Refused(wanted.number() > rules.attempts().free() ? "A lift has " + rules.attempts().free() + " attempts here"
          : "Attempt " + day.next() + " comes first");
    }
    if (now == null || !now.load().equals(wanted.load())) {
      day.check(rules, wanted.load(), entry.record());
    }
  }

  /** What was lifted may be set right while nothing was lifted on top of it. */
  private static void corrects(LiftDay day, Attempt now, Attempt wanted) {
    if (wanted.verdict() == null) {
      throw new Refused("Attempt " + now.number() + " is lifted already; undo it below to take that back");
    }
    if (day.attempts().stream().anyMatch(other -> other.number() > now.number())) {
      throw new Refused("Attempt " + (now.number() + 1) + " stands already; undo it first");
    }
  }

  private String differs(long contestId, long athleteId, AttemptSpot spot, @Nullable Attempt now) {
    String by = notes.ofSpot(contestId, athleteId, spot.key(), Limit.of(1)).stream().findFirst()
        .map(note -> note.author() + " at " + clock.local(note.saidAt()).toLocalTime().withSecond(0).withNano(0)).orElse("somebody else");
    return now == null ? "It was taken back." : "It stands as " + words(spot, now) + ", by " + by + ".";
  }

  private String words(AttemptSpot spot, Attempt attempt) {
    String lift = lifts.catalogue().ofKey(spot.lift()).map(found -> found.name().toLowerCase(Locale.ROOT)).orElse(spot.lift());
    Verdict verdict = attempt.verdict();
    String what = verdict == null ? " handed in" : good(verdict);
    return lift + " " + spot.number() + ": " + attempt.load().text() + what + (attempt.changed() > 0 && verdict == null ? ", changed" : "");
  }

  private static String good(Verdict verdict) {
    String look = verdict.look() == null ? "" : ", looked " + verdict.look().word();
    String why = verdict.reason() == null ? "" : ", " + verdict.reason().word();
    return (verdict.good() ? " good" : " not good") + (verdict.whites() == null ? "" : ", " + verdict.whites() + " white") + look + why;
  }

  private NoteRow note(ContestAthlete athlete, UUID key, NoteRow.Changed changed, SignedIn who) {
    NoteRow.Changed cut = changed.words().length() <= MOST_WORDS ? changed
        : new NoteRow.Changed(changed.spot(), changed.words().substring(0, MOST_WORDS), changed.before(), changed.after());
    return notes.saveAndFlush(new NoteRow(athlete.contestId(), athlete.id(), key, cut).by(who, clock.now()));
  }

  private void put(ContestAthlete athlete, AttemptSpot spot, @Nullable AttemptRow row, @Nullable Attempt attempt, long note) {
    if (attempt == null) {
      if (row != null) {
        attempts.delete(row);
      }
    } else {
      AttemptRow there = row == null ? new AttemptRow(athlete.contestId(), athlete.id(), spot) : row;
      there.write(attempt, note);
      attempts.save(there);
    }
    attempts.flush();
  }

  /** Takes a result of an event. */
  @Transactional
  public Outcome result(long contestId, long athleteId, ResultEntry entry, SignedIn who) {
    Contest contest = contests.contest(contestId);
    ContestAthlete athlete = held(contestId, athleteId);
    if (known(entry.key())) {
      return new Outcome.Stands();
    }
    open(athlete);
    if (entry.event() < 1 || entry.event() > Math.min(contest.said().events().size(), MOST_EVENTS)) {
      throw new Refused("There is no such event");
    }
    ResultRow row = results.findByAthleteIdAndEvent(athleteId, entry.event()).orElse(null);
    String now = row == null ? "" : Kept.of(row.result());
    String wanted = entry.result() == null ? "" : Kept.of(entry.result());
    if (now.equals(wanted)) {
      return new Outcome.Stands();
    }
    if (!now.equals(entry.seen())) {
      String by = notes.ofSpot(contestId, athleteId, EVENT + entry.event(), Limit.of(1)).stream().findFirst().map(NoteRow::author)
          .orElse("somebody else");
      return new Outcome.Differs(now, now.isEmpty() ? "It was taken back." : "It stands as " + words(Kept.result(now)) + ", by " + by
          + ".");
    }
    String name = lifts.catalogue().ofKey(contest.said().events().get(entry.event() - 1).lift())
        .map(lift -> lift.name().toLowerCase(Locale.ROOT)).orElse("event " + entry.event());
    String words = name + ": " + (entry.result() == null ? "taken out" : words(entry.result()));
    NoteRow note = note(athlete, entry.key(), new NoteRow.Changed(EVENT + entry.event(), words, now, wanted), who);
    put(athlete, entry.event(), row, entry.result(), note.id());
    return new Outcome.Stands();
  }

  private void put(ContestAthlete athlete, int event, @Nullable ResultRow row, @Nullable EventResult result, long note) {
    if (result == null) {
      if (row != null) {
        results.delete(row);
      }
    } else {
      ResultRow there = row == null ? new ResultRow(athlete.contestId(), athlete.id(), event) : row;
      there.write(result, note);
      results.save(there);
    }
    results.flush();
  }

  /** A result in words: {@code 7 reps, 52.31 s}. */
  static String words(EventResult result) {
    StringBuilder words = new StringBuilder(result.load() == null ? "" : result.load().text());
    for (Field field : Field.values()) {
      if (result.numbers().containsKey(field) && field != Field.FINISHED) {
        String number = Objects.requireNonNull(result.numbers().get(field)).stripTrailingZeros().toPlainString();
        words.append(words.isEmpty() ? "" : ", ").append(number).append(' ').append(unit(field));
      }
    }
    if (result.numbers().containsKey(Field.FINISHED)) {
      words.append(result.numbers().get(Field.FINISHED).signum() > 0 ? ", finished" : ", not finished");
    }
    return words.isEmpty() ? "no result" : words.toString();
  }

  private static String unit(Field field) {
    return switch (field) {
      case TIME -> "s";
      case DISTANCE -> "m";
      default -> field.word();
    };
  }

  /** Adds a rival. */
  @Transactional
  public ContestAthlete add(long contestId, AthleteSaid said, SignedIn who) {
    contests.contest(contestId);
    ContestAthlete athlete = athletes.saveAndFlush(new ContestAthlete(contestId, null, said));
    note(athlete, UUID.randomUUID(), new NoteRow.Changed(PERSON, said.name() + " added", "", json.write(said)), who);
    return athlete;
  }

  /** Writes down who somebody is, and what the day says of them. */
  @Transactional
  public ContestAthlete person(long contestId, long athleteId, AthleteSaid said, UUID key, SignedIn who) {
    contests.contest(contestId);
    ContestAthlete athlete = held(contestId, athleteId);
    if (!known(key)) {
      String before = json.write(athlete.said());
      athlete.write(said);
      athletes.saveAndFlush(athlete);
      String name = said.name().isEmpty() ? "weigh-in and class" : said.name();
      note(athlete, key, new NoteRow.Changed(PERSON, name + " changed", before, json.write(said)), who);
    }
    return athlete;
  }

  /** The newest entries. */
  @Transactional(readOnly = true)
  public List<NoteRow> newest(long contestId, int most) {
    return notes.newest(contestId, Limit.of(most));
  }

  /** By which a phone knows whether something is new. */
  @Transactional(readOnly = true)
  public long last(long contestId) {
    return notes.last(contestId);
  }

  /**
   * Puts back what stood before an entry. That is on record too; the entry before it can be undone next.
   *
   * @return why it cannot be; empty where it was
   */
  @Transactional
  public Optional<String> undo(long contestId, long noteId, SignedIn who) {
    NoteRow note = notes.findById(noteId).filter(one -> one.contestId() == contestId).orElseThrow(NotFound::new);
    if (note.changed().spot().equals(IntoLog.SPOT)) {
      return Optional.of("What went into the log is taken back on the summary page.");
    }
    ContestAthlete athlete = athletes.held(note.athleteId()).orElseThrow(NotFound::new);
    NoteRow.Changed changed = note.changed();
    if (athlete.loggedAt() != null && !changed.spot().equals(PERSON)) {
      return Optional.of("The day is in the log already: take it out on the summary page first.");
    }
    if (note.undone()) {
      return Optional.of("That is undone already.");
    }
    NoteRow newest = notes.ofSpot(contestId, athlete.id(), changed.spot(), Limit.of(1)).stream().findFirst().orElseThrow();
    if (newest.id() != note.id()) {
      return Optional.of("Meanwhile " + newest.author() + " wrote: " + newest.words() + ". Undo that first.");
    }
    Optional<String> why = changed.spot().equals(PERSON) ? undoPerson(athlete, changed) : undoFigures(athlete, changed, noteId);
    if (why.isEmpty()) {
      note.undo();
      notes.saveAndFlush(note);
      NoteRow taken = note(athlete, UUID.randomUUID(), new NoteRow.Changed(changed.spot(), "undone: " + changed.words(), changed.after(),
          changed.before()), who);
      taken.undo();
      notes.saveAndFlush(taken);
    }
    return why;
  }

  private Optional<String> undoPerson(ContestAthlete athlete, NoteRow.Changed changed) {
    boolean added = changed.before().isEmpty();
    List<Long> them = List.of(athlete.id());
    if (added && !(attempts.of(them).isEmpty() && results.of(them).isEmpty())) {
      return Optional.of("Something of them is entered: undo that first.");
    }
    athlete.write(added ? athlete.said().leaving() : json.read(changed.before(), AthleteSaid.class));
    athletes.saveAndFlush(athlete);
    return Optional.empty();
  }

  private Optional<String> undoFigures(ContestAthlete athlete, NoteRow.Changed changed, long note) {
    if (changed.spot().startsWith(EVENT)) {
      int event = Integer.parseInt(changed.spot().substring(EVENT.length()));
      put(athlete, event, results.findByAthleteIdAndEvent(athlete.id(), event).orElse(null),
          changed.before().isEmpty() ? null : Kept.result(changed.before()), note);
      return Optional.empty();
    }
    int blank = changed.spot().lastIndexOf(' ');
    AttemptSpot spot = new AttemptSpot(changed.spot().substring(0, blank), Integer.parseInt(changed.spot().substring(blank + 1)));
    Attempt before = Kept.attempt(spot.number(), changed.before());
    boolean later = day(athlete.id(), spot.lift()).attempts().stream().anyMatch(attempt -> attempt.number() > spot.number());
    if (later && (before == null || before.verdict() == null)) {
      return Optional.of("Attempt " + (spot.number() + 1) + " stands on it: undo that first.");
    }
    put(athlete, spot, attempts.findByAthleteIdAndLiftAndNumber(athlete.id(), spot.lift(), spot.number()).orElse(null), before, note);
    return Optional.empty();
  }
}
