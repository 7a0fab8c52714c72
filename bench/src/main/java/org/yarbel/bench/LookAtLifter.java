package org.yarbel.bench;

import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.LongStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.CallRules;
import org.yarbel.core.call.Picture;
import org.yarbel.core.sim.CallTrial;
import org.yarbel.core.sim.School;

/** All rules look at a lifter with twelve weeks of logs behind and four weeks of plan ahead; another lifter each time. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(value = 1, jvmArgs = {"-Xms512m", "-Xmx512m", "-XX:+UseSerialGC", "-XX:+AlwaysPreTouch"})
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
public class LookAtLifter {
  private static final int LIFTERS = 24;
  private static final int WEEKS = 20;

  private final List<Picture> pictures = LongStream.range(0, LIFTERS)
      .mapToObj(seed -> CallTrial.after(School.values()[(int) seed % School.values().length], WEEKS, seed)).toList();
  private int turn;

  @Benchmark
  public List<Call> calls() {
    turn++;
    return CallRules.look(pictures.get(turn % LIFTERS));
  }
}
