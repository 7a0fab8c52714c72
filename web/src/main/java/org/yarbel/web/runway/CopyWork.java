package org.yarbel.web.runway;

import org.springframework.stereotype.Component;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.job.JobWork;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** Gives the plan of one lifter to others; the document is the id of whose plan it is. */
@Component
class CopyWork implements JobWork {
  static final String KIND = "copy-plan";

  private final Runways runways;
  private final LongPlans plans;
  private final LifterRepository lifters;

  CopyWork(Runways runways, LongPlans plans, LifterRepository lifters) {
    this.runways = runways;
    this.plans = plans;
    this.lifters = lifters;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  public String work(long lifterId, String document, SignedIn who) {
    Macrocycle plan = plans.of(Long.parseLong(document)).orElseThrow(NotFound::new).plan();
    return runways.copy(plan, lifters.findById(lifterId).orElseThrow(NotFound::new), who);
  }
}
