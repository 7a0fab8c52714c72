package org.yarbel.bench;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.TimeUnit;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.Track;
import org.yarbel.core.track.Tracker;

/** A run of the tracker over 2,000 sets of five a day, one over 2,000 days, and a day on from where it stood. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
// a fixed heap and the serial collector: what the launcher gives the application
@Fork(value = 1, jvmArgs = {"-Xms512m", "-Xmx512m", "-XX:+UseSerialGC", "-XX:+AlwaysPreTouch"})
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
public class TrackedMax {
  private static final int A_DAY = 5;

  private final Tracker tracker = new Tracker(Level.ADVANCED, List.of());
  private final List<Observation> fiveADay = log(A_DAY);
  private final List<Observation> oneADay = log(1);
  private final List<Observation> lastDay = fiveADay.subList(fiveADay.size() - A_DAY, fiveADay.size());
  private final Standing stood = Objects.requireNonNull(tracker.run(fiveADay, MassUnit.KG).before());

  private static List<Observation> log(int aDay) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(1);
    List<Observation> log = new ArrayList<>();
    for (int i = 0; i < 2_000; i++) {
      Rpe rpe = i % 7 == 0 ? null : new Rpe(random.nextInt(14, 21));
      Mass load = Mass.of(Integer.toString(random.nextInt(140, 190)), MassUnit.KG);
      log.add(Observation.of(LocalDate.of(2016, 1, 1).plusDays(i / aDay * 3L), load, random.nextInt(1, 6), rpe)
          .with(Observation.Trait.FLAGGED, random.nextInt(20) == 0));
    }
    return log;
  }

  @Benchmark
  public Track twoThousandSetsFiveADay() {
    return tracker.run(fiveADay, MassUnit.KG);
  }

  @Benchmark
  public Track twoThousandDays() {
    return tracker.run(oneADay, MassUnit.KG);
  }

  @Benchmark
  public Track aDayOn() {
    return tracker.goOn(stood, lastDay, MassUnit.KG);
  }

  /** What a page asks of one lift. */
  @Benchmark
  public Estimate answer() {
    return stood.on(lastDay.get(0).date()).max(MassUnit.KG);
  }
}
