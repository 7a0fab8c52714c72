package org.yarbel.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

/** A session of eight lines of every school with their ramps and plates, read and worked out, the kit's table built before. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(value = 1, jvmArgs = {"-Xms512m", "-Xmx512m", "-XX:+UseSerialGC", "-XX:+AlwaysPreTouch"})
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
public class Session {
  private static final List<String> LINES = List.of("1x1 @8; 4x4 -15%", "3x5+ 85% tm", "1x1 92%; 3xAMRAP -7.5% each",
      "cluster 3x5 92% gap 20s rest 4:00", "10x2 55% rest 45s tempo 2-1-X-0 chains 20kg", "build 8 @7", "4x8-12 65%",
      "max 3 @9; 4x3 80% top");

  private final Loadables kilograms = Loadables.of(Kit.standard(MassUnit.KG));
  /** Another lifter each time, so that no answer is the one before. */
  private int lifter;

  @Benchmark
  public List<ResolvedLine> eightLines() {
    lifter = (lifter + 1) % 200;
    Mass estimated = Mass.of(Integer.toString(120 + lifter), MassUnit.KG);
    MaxNumbers numbers = new MaxNumbers(estimated, estimated, estimated.scaled(0.9), estimated.scaled(1.05));
    List<ResolvedLine> session = new ArrayList<>(LINES.size());
    for (String line : LINES) {
      session.add(Resolver.resolve(Resolver.Request.of(WorkLine.parse(line), Basis.ESTIMATED, numbers, kilograms)));
    }
    return session;
  }
}
