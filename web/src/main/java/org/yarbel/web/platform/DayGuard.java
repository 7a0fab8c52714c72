package org.yarbel.web.platform;

import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Who may see and enter what of a contest's day: staff all of it, a lifter their own. */
@Service
class DayGuard {
  private static final String PACKED = "packed.";
  private static final int MOST_THINGS = 40;
  private static final int MOST_LETTERS = 40;

  private final ContestAthleteRepository athletes;

  DayGuard(ContestAthleteRepository athletes) {
    this.athletes = athletes;
  }

  /** The athlete of a contest; for anybody else, or of another contest, there is none. */
  @Transactional(readOnly = true)
  public ContestAthlete see(long contestId, long athleteId, SignedIn who) {
    return athletes.findById(athleteId).filter(one -> one.contestId() == contestId && !one.said().gone())
        .filter(one -> who.staff() || one.lifterId() != null && who.maySee(one.lifterId())).orElseThrow(NotFound::new);
  }

  /** Writes down what is in the bag. */
  @Transactional
  public void pack(long contestId, long athleteId, Map<String, String> form) {
    ContestAthlete athlete = athletes.held(athleteId).filter(one -> one.contestId() == contestId).orElseThrow(NotFound::new);
    Set<String> things = form.keySet().stream().filter(name -> name.startsWith(PACKED)).map(name -> name.substring(PACKED.length()))
        .filter(thing -> thing.length() <= MOST_LETTERS).limit(MOST_THINGS).collect(Collectors.toSet());
    athlete.prepare(athlete.prepared().packing(things));
    athletes.save(athlete);
  }
}
