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
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.card.WarmUpRamp;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.kit.PlateSeries;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** Loading a bar: with the table built for the question, and with one that is kept. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
// a fixed heap and the serial collector: what the launcher gives the application
@Fork(value = 1, jvmArgs = {"-Xms512m", "-Xmx512m", "-XX:+UseSerialGC", "-XX:+AlwaysPreTouch"})
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
public class PlateLoading {
  private final Kit standard = Kit.standard(MassUnit.KG);
  private final Kit mixed = new Kit(Mass.of("20", MassUnit.KG), Mass.of("0", MassUnit.KG), both());
  private final Loadables kept = Loadables.of(standard);
  private final Loadables keptMixed = Loadables.of(mixed);
  private final Mass target = Mass.of("182.5", MassUnit.KG);
  private final Mass top = Mass.of("240", MassUnit.KG);
  private final List<Mass> session = List.of(Mass.of("60", MassUnit.KG), Mass.of("100", MassUnit.KG), Mass.of("140", MassUnit.KG),
      Mass.of("160", MassUnit.KG), Mass.of("172.5", MassUnit.KG), Mass.of("182.5", MassUnit.KG), Mass.of("155", MassUnit.KG));

  private static PlateStock both() {
    List<PlateStock.Pairs> plates = new ArrayList<>(PlateStock.standard(MassUnit.KG).plates());
    plates.addAll(PlateStock.standard(MassUnit.LB).plates());
    return new PlateStock(MassUnit.KG, plates);
  }

  @Benchmark
  public Loading oneUnitFromNothing() {
    return Loadables.of(standard).exact(target).orElseThrow();
  }

  @Benchmark
  public Loading oneUnitKept() {
    return kept.nearest(target);
  }

  @Benchmark
  public Loading mixedFromNothing() {
    return Loadables.of(mixed).below(target).orElseThrow();
  }

  @Benchmark
  public Loading mixedKept() {
    return keptMixed.below(target).orElseThrow();
  }

  @Benchmark
  public List<Loading> seriesOfSeven() {
    return PlateSeries.of(session, kept);
  }

  @Benchmark
  public WarmUpRamp ramp() {
    return WarmUpRamp.to(top, kept, Movement.SQUAT, RampStyle.SHRINKING);
  }
}
