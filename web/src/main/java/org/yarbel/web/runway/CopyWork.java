package org.yarbel.web.runway;

import org.springframework.stereotype.Component;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** Gives the plan of one lifter to others; the document is the id of whose plan it is. */
@Component
class CopyWork extends LifterWork {
  static final String KIND = "copy-plan";

  private final Runways runways;
  private final LongPlans plans;

  CopyWork(Runways runways, LongPlans plans, LifterRepository lifters) {
    super(lifters);
    this.runways = runways;
    this.plans = plans;
  }

  @Override
  public String kind() {
    return KIND;
  }

  @Override
  String work(Lifter lifter, String document, SignedIn who) {
    Macrocycle plan = plans.of(lifter(document).id()).orElseThrow(NotFound::new).plan();
    return runways.copy(plan, lifter, who);
  }
}
