package org.yarbel.web.runway;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.yarbel.web.job.JobWork;
import org.yarbel.web.job.Jobs;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** Long work on the plans of lifters, a lifter after the other. */
abstract class LifterWork implements JobWork {
  private final LifterRepository lifters;

  LifterWork(LifterRepository lifters) {
    this.lifters = lifters;
  }

  /** Those it is for, as a job knows them. */
  static List<Jobs.Item> items(Collection<Lifter> lifters) {
    return lifters.stream().map(lifter -> new Jobs.Item(lifter.ref().toString(), lifter.name())).toList();
  }

  @Override
  public final String noun() {
    return "lifter";
  }

  abstract String work(Lifter lifter, String document, SignedIn who);

  @Override
  public final String work(String key, String document, SignedIn who) {
    return work(lifter(key), document, who);
  }

  @Override
  public final Screen screen(String key) {
    return lifters.findByRef(UUID.fromString(key)).map(lifter -> new Screen("Runway", "/lifters/" + lifter.id() + "/runway"))
        .orElse(new Screen("Floor", "/"));
  }

  final Lifter lifter(String ref) {
    return lifters.findByRef(UUID.fromString(ref)).orElseThrow(NotFound::new);
  }
}
