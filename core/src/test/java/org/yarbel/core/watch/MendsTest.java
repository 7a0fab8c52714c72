package org.yarbel.core.watch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;

/** A mend does away with what it mends, on weeks of every sort. */
class MendsTest {
  private static final List<String> DAYS = List.of("Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun");
  private static final List<String> LIFTS = List.of("squat", "bench", "deadlift");

  private static String line(RandomGenerator random) {
    String lift = LIFTS.get(random.nextInt(LIFTS.size()));
    int percent = 40 + random.nextInt(65);
    String work = switch (random.nextInt(5)) {
      case 0 -> (1 + random.nextInt(6)) + "x" + (1 + random.nextInt(10)) + " " + percent + "%";
      case 1 -> (1 + random.nextInt(6)) + "x" + (1 + random.nextInt(8)) + " " + percent + "% @" + (6 + random.nextInt(5));
      case 2 -> (1 + random.nextInt(4)) + "x" + (1 + random.nextInt(6)) + " @" + (6 + random.nextInt(5));
      case 3 -> (1 + random.nextInt(5)) + "x" + (1 + random.nextInt(8)) + " " + (40 + random.nextInt(100)) + "kg";
      default -> "1x1 @8; " + (1 + random.nextInt(5)) + "x" + (1 + random.nextInt(6)) + " -" + (5 + random.nextInt(20)) + "%";
    };
    return DAYS.get(random.nextInt(DAYS.size())) + (random.nextInt(3) > 0 ? " main " : " second ") + lift + " " + work;
  }

  @Test
  void eachMendSilencesItsOwnCheckAboutThatPart() {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(40_507);
    int mended = 0;
    for (int i = 0; i < 600; i++) {
      Weeks weeks = new Weeks();
      weeks.deload = random.nextInt(5) == 0 ? Deload.values()[random.nextInt(3)] : null;
      List<String> lines = new ArrayList<>();
      for (int n = 1 + random.nextInt(8); n > 0; n--) {
        lines.add(line(random));
      }
      WatchedWeek week = weeks.of(lines.toArray(String[]::new));
      for (Finding found : Checks.look(week)) {
        assertThat(found.sentence()).as("of %s", lines).isNotBlank().doesNotContain("NaN", "null", "Optional", "Infinity")
            .endsWith(found.sentence().endsWith("?") ? "?" : ".");
        if (found.mend() == null || found.line() == null) {
          continue;
        }
        mended++;
        assertThat(WorkLine.parse(found.mend().work()).line().toString()).isEqualTo(found.mend().work());
        int at = found.line().intValue() - 1;
        List<String> better = new ArrayList<>(lines);
        String[] words = better.get(at).split(" ", 4);
        better.set(at, words[0] + " " + words[1] + " " + words[2] + " " + found.mend().work());
        if (!found.check().equals("late-percentage")) {
          long before = about(weeks, found, lines);
          assertThat(about(weeks, found, better)).as("%s mended to %s", lines.get(at), better.get(at)).isLessThan(before);
        }
      }
    }
    assertThat(mended).as("so many mends were tried").isGreaterThan(300);
  }

  private static long about(Weeks weeks, Finding found, List<String> lines) {
    return weeks.find(found.check(), lines.toArray(String[]::new)).stream().filter(other -> found.line().equals(other.line())).count();
  }

  @Test
  void orderOfSeverityIsKept() {
    Weeks weeks = new Weeks();
    weeks.age = 15;
    List<Severity> order = Checks.look(weeks.of("Mon main squat max 1", "Mon main bench 3x6 85%", "Tue main deadlift 5x5 70%",
        "Wed main squat 7x3 85%")).stream()
        .map(Finding::severity).toList();
    assertThat(order).isNotEmpty().isSortedAccordingTo(Comparator.reverseOrder());
  }

  /** Common practice and our own defaults: what is near a bound, on both sides of it. */
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
      "to-failure          | Mon main squat 1x10 75%     | 1",
      "to-failure          | Mon main squat 1x9 75%      | 0",
      "to-failure          | Mon main squat 3x1 100%     | 0",
      "to-failure          | Mon main squat emom 8x4 90% | 1",
      "percent-against-rpe | Mon main squat 3x5 80% @7   | 0",
      "percent-against-rpe | Mon main squat 3x5 80% @8   | 0",
      "percent-against-rpe | Mon main squat 3x5 80% @9   | 1",
      "percent-against-rpe | Mon main squat 3x5 90% @8   | 1",
      "zone-limit          | Mon main squat 5x5 75%      | 1",
      "zone-limit          | Mon main squat 6x4 75%      | 0",
      "zone-limit          | Mon main squat 5x2 92%      | 0",
      "zone-limit          | Mon main squat 6x2 92%      | 1",
      "zone-limit          | Mon main squat 6x5 60%      | 0",
      "zone-limit          | Mon main squat 7x5 60%      | 1",
      "not-loadable        | Mon main squat 3x5 60kg     | 0",
      "not-loadable        | Mon main squat 3x5 61kg     | 1",
      "not-loadable        | Mon main squat 3x5 10kg     | 1",
      "out-of-reach        | Mon main squat 1x1 215kg    | 0",
      "out-of-reach        | Mon main squat 1x1 217.5kg  | 1",
      "out-of-reach        | Mon assistance squat 1x1 230kg | 0",
      "method-for-level    | Mon main squat max 1        | 0",
      "many-hard-days      | Mon main squat 3x3 90%      | 0",
      "bunched             | Mon main squat 3x3 60%      | 0",
      "main-share          | Mon main squat 3x3 60%      | 0",
      "clearance           | Mon main squat max 1        | 0",
  })
  void speaksAtItsBound(String check, String line, int times) {
    assertThat(new Weeks().find(check, line.replaceAll("\\s+", " ").strip())).hasSize(times);
  }
}
