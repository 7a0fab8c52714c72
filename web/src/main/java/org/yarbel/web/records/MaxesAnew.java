package org.yarbel.web.records;

import org.springframework.stereotype.Component;
import org.yarbel.web.club.Turns;
import org.yarbel.web.job.JobWork;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.lifter.LifterService;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Works the tracked max of a lift out over all of its log. */
@Component
class MaxesAnew implements JobWork {
  static final String KIND = "old-maxes";

  private final LifterRepository lifters;
  private final LifterService.LiftTracker tracker;
  private final Turns turns;

  MaxesAnew(LifterRepository lifters, LifterService.LiftTracker tracker, Turns turns) {
    this.lifters = lifters;
    this.tracker = tracker;
    this.turns = turns;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public boolean alone() {
    return true;
  }

  @Override
  public String noun() {
    return "lift";
  }

  @Override
  public Screen screen(String key) {
    return new Screen("Lifts", "/lifts");
  }

  @Override
  public String work(String key, String document, SignedIn who) {
    long id = Long.parseLong(document);
    turns.ofLifter(id);
    Lifter lifter = lifters.findById(id).orElseThrow(NotFound::new);
    tracker.rerunLong(lifter, key);
    return "worked out";
  }
}
