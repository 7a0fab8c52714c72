package org.yarbel.web.club;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.problem.NotFound;

/** The lifts a club plans with: ours and its own. */
@Service
public class Lifts {
  private static final int MOST_OWN = 300;

  private final ClubLiftRepository own;
  private final ClubCache cache;

  Lifts(ClubLiftRepository own, ClubCache cache) {
    this.own = own;
    this.cache = cache;
  }

  /** The lifts of a club, as they are kept. */
  private record All(Catalogue catalogue, List<Lift> offered, Set<String> own, Set<String> retired) {
    static All of(List<ClubLift> rows) {
      Catalogue catalogue = Catalogue.standard().with(rows.stream().map(ClubLift::lift).toList());
      Set<String> retired = rows.stream().filter(ClubLift::retired).map(ClubLift::key).collect(Collectors.toUnmodifiableSet());
      return new All(catalogue, catalogue.all().stream().filter(lift -> !retired.contains(lift.key())).toList(),
          rows.stream().map(ClubLift::key).collect(Collectors.toUnmodifiableSet()), retired);
    }
  }

  private All all() {
    return cache.of(ClubCache.What.LIFTS, () -> All.of(own.all()));
  }

  /** All of them, retired ones too. */
  @Transactional(readOnly = true)
  public Catalogue catalogue() {
    return all().catalogue();
  }

  /** Those that are offered where a lift is chosen. */
  @Transactional(readOnly = true)
  public List<Lift> offered() {
    return all().offered();
  }

  /** The keys of the club's own lifts. */
  @Transactional(readOnly = true)
  public Set<String> own() {
    return all().own();
  }

  /** The keys of its own lifts that are offered no more. */
  @Transactional(readOnly = true)
  public Set<String> retired() {
    return all().retired();
  }

  /**
   * Adds a lift, or changes one of the club's own.
   *
   * @throws Refused with a sentence when it cannot hang in the tree
   */
  @Transactional
  public void keep(Lift lift, boolean changed) {
    List<Lift> others = own.all().stream().map(ClubLift::lift).filter(l -> !changed || !l.key().equals(lift.key())).toList();
    if (others.size() >= MOST_OWN) {
      throw new Refused("A club may add at most " + MOST_OWN + " lifts");
    }
    List<Lift> all = new ArrayList<>(others);
    all.add(lift);
    Catalogue.standard().with(all);
    ClubLift row = changed ? own.findByLiftKey(lift.key()).orElseThrow(NotFound::new) : new ClubLift(lift);
    row.write(lift);
    own.saveAndFlush(row);
    cache.written();
  }

  /** Offers a lift no more, or again; what was planned and logged with it stays. */
  @Transactional
  public void retire(String key, boolean now) {
    own.findByLiftKey(key).orElseThrow(NotFound::new).retire(now);
    cache.written();
  }
}
