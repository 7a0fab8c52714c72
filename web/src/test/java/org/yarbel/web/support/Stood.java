package org.yarbel.web.support;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Tracker;

/** Where a tracker stands, in and out of the database. */
public final class Stood {
  private Stood() {}

  /** Where the tracker of an intermediate lifter stands after a test, as the database writes it. */
  public static String after(TestedMax tested) {
    Standing standing = Objects.requireNonNull(new Tracker(Level.INTERMEDIATE, tested).run(List.of(), MassUnit.KG).standing());
    return Arrays.stream(standing.numbers()).mapToObj(Double::toString).collect(Collectors.joining(",", "{", "}"));
  }

  /** The max that is published of a lift on its newest day. */
  public static Mass max(JdbcClient jdbc, long lifter, String lift) {
    Standing standing = of(jdbc, lifter, lift);
    return standing.on(standing.day()).max(MassUnit.KG).max();
  }

  /** The max that is published of a lift on a day. */
  public static Mass max(JdbcClient jdbc, long lifter, String lift, LocalDate on) {
    return of(jdbc, lifter, lift).on(on).max(MassUnit.KG).max();
  }

  private static Standing of(JdbcClient jdbc, long lifter, String lift) {
    record Kept(String level, String numbers) {}
    Kept kept = jdbc.sql("select level, array_to_string(standing, ' ') as numbers from lift_numbers where lifter_id = :id and lift = :lift")
        .param("id", lifter).param("lift", lift).query(Kept.class).single();
    double[] numbers = Arrays.stream(kept.numbers().split(" ")).mapToDouble(Double::parseDouble).toArray();
    return Standing.of(Level.valueOf(kept.level()), numbers).orElseThrow();
  }
}
