package org.yarbel.web.watch;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The checks and cautions a coach has silenced for a lifter; each reason stays on record. */
@Service
public class Silences {
  private static final Limit SHOWN = Limit.of(100);

  private final SilenceRepository silences;
  private final ClubClock clock;

  Silences(SilenceRepository silences, ClubClock clock) {
    this.silences = silences;
    this.clock = clock;
  }

  /** Silences a check or caution about a lift of a lifter; the reason stays on record. */
  @Transactional
  public void silence(long lifterId, String check, String lift, String reason, SignedIn who) {
    boolean already = silences.findByLifterIdAndEndedIsNull(lifterId).stream().anyMatch(s -> s.checkKey().equals(check)
        && s.lift().equals(lift));
    if (!already) {
      silences.save(new Silence(lifterId, check, lift, reason, who.accountId(), clock.now()));
    }
  }

  /** What is silenced of a lifter now: the check or caution, a slash, the lift. */
  @Transactional(readOnly = true)
  public Set<String> quiet(long lifterId) {
    return quiet(silences.findByLifterIdAndEndedIsNull(lifterId));
  }

  /** The same of a record. */
  public static Set<String> quiet(List<Silence> record) {
    return record.stream().filter(Silence::holds).map(s -> s.checkKey() + "/" + s.lift()).collect(Collectors.toSet());
  }

  /** Lets it speak again. */
  @Transactional
  public long speak(long silenceId) {
    Silence silence = silences.findById(silenceId).orElseThrow(NotFound::new);
    silence.end(clock.now());
    silences.save(silence);
    return silence.lifterId();
  }

  /** What is and was silenced of a lifter, the newest first. */
  @Transactional(readOnly = true)
  public List<Silence> record(long lifterId) {
    return silences.findByLifterIdOrderByIdDesc(lifterId, SHOWN);
  }
}
