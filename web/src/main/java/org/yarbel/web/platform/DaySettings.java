package org.yarbel.web.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.contest.ContestRepository;
import org.yarbel.web.contest.DaySheet;
import org.yarbel.web.contest.Prepared;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Keeps how a contest's day goes: its rules, how late it is, where warm-ups stand, and the link for spectators. */
@Service
public class DaySettings {
  private final ContestRepository contests;
  private final ContestAthleteRepository athletes;
  private final JdbcClient jdbc;
  private final SecurityLog log;

  DaySettings(ContestRepository contests, ContestAthleteRepository athletes, JdbcClient jdbc, SecurityLog log) {
    this.contests = contests;
    this.athletes = athletes;
    this.jdbc = jdbc;
    this.log = log;
  }

  @Transactional
  public void rules(long id, DaySheet sheet) {
    Contest contest = contest(id);
    contest.goesBy(sheet);
    contests.save(contest);
  }

  /** Says how late all of it is. */
  @Transactional
  public void late(long id, int minutes) {
    Contest contest = contest(id);
    contest.goesBy(contest.daySheet().late(minutes));
    contests.save(contest);
  }

  private Contest contest(long id) {
    return contests.findById(id).orElseThrow(NotFound::new);
  }

  /** Says where somebody's warm-up stands; what is null stays as it is. */
  @Transactional
  public void warmUp(long contestId, long athleteId, String lift, @Nullable Integer ahead, @Nullable List<Integer> done) {
    ContestAthlete athlete = held(contestId, athleteId);
    Prepared.WarmUp before = athlete.prepared().warmUps().getOrDefault(lift, new Prepared.WarmUp(null, List.of()));
    athlete.prepare(athlete.prepared().with(lift,
        new Prepared.WarmUp(ahead == null ? before.ahead() : ahead, done == null ? before.done() : done)));
    athletes.save(athlete);
  }

  /** Says that a step of a warm-up is lifted, or that it is not. */
  @Transactional
  public void lifted(long contestId, long athleteId, String lift, int step) {
    Prepared.WarmUp before = held(contestId, athleteId).prepared().warmUps().getOrDefault(lift, new Prepared.WarmUp(null, List.of()));
    List<Integer> done = new ArrayList<>(before.done());
    if (!done.remove(Integer.valueOf(step))) {
      done.add(step);
    }
    warmUp(contestId, athleteId, lift, null, done);
  }

  /** Says what was prepared of somebody. */
  @Transactional
  public void prepare(long contestId, long athleteId, Prepared prepared) {
    ContestAthlete athlete = held(contestId, athleteId);
    athlete.prepare(prepared);
    athletes.save(athlete);
  }

  private ContestAthlete held(long contestId, long athleteId) {
    return athletes.held(athleteId).filter(one -> one.contestId() == contestId).orElseThrow(NotFound::new);
  }

  /** Makes a link for spectators in place of the one there is, and tells its secret: it cannot be shown again. */
  @Transactional
  public String open(long id, SignedIn who) {
    Contest contest = contest(id);
    String secret = Secrets.make();
    contest.open(Secrets.fingerprint(secret));
    contests.save(contest);
    log.note(SecurityLog.Event.SPECTATORS_OPENED, who.clubId(), who.accountId(), "contest " + id);
    return secret;
  }

  /** Takes the link back. */
  @Transactional
  public void close(long id, SignedIn who) {
    Contest contest = contest(id);
    contest.open(null);
    contests.save(contest);
    log.note(SecurityLog.Event.SPECTATORS_CLOSED, who.clubId(), who.accountId(), "contest " + id);
  }

  /**
   * A contest that is open to who has a link.
   *
   * @param club whose it is
   */
  public record Opened(long club, long contest) {}

  /** The contest of a link; empty where there is none. It is looked for before any club is known. */
  @Transactional(readOnly = true)
  public Optional<Opened> bySecret(String secret) {
    return jdbc.sql("select club_id as club, id as contest from contest where spectators = :print and not gone")
        .param("print", Secrets.fingerprint(secret)).query(Opened.class).optional();
  }
}
