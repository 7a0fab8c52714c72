package org.yarbel.web.journal;

import java.util.Collection;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.TrainingSession;

/** Is told of plans that are not as they were: who has handed something out from them hands it out anew. */
public interface PlanListener {
  /** The lines or groups of these sessions changed. */
  void plansChanged(Collection<TrainingSession> sessions, Lifter lifter);
}
