package org.yarbel.core.plan.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.Role;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.kit.PlateStock;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;

/** Each method's example, a table worked by hand from the handbook's defaults (our own, from common practice). */
class GoldenPlansTest {
  private static final Catalogue LIFTS = Catalogue.standard();
  private static final List<String> EXAMPLES = List.of("novice-linear", "plus-sets", "plus-sets-missed", "goal-wave", "rpe-weeks", "blocks",
      "rotation",
      "high-frequency", "double-progression", "ladder", "shrinking-jumps", "falling-backoffs", "event-weeks",
      "event-weeks-contest", "cluster", "density", "partials", "rising", "peak", "taper", "taper-twice", "mock");

  @TestFactory
  Stream<DynamicTest> writesEachExampleAsWorkedByHand() {
    return EXAMPLES.stream().map(name -> DynamicTest.dynamicTest(name, () -> new Example(name).check()));
  }

  @Test
  void hasAnExampleOfEveryMethod() {
    assertThat(EXAMPLES).containsAll(Arrays.stream(Method.values()).map(Method::key).toList());
  }

  /** One table, read and held against what the rule writes. */
  private static final class Example {
    private final String name;
    private final Map<String, String> head = new TreeMap<>();
    private final List<Done> done = new ArrayList<>();
    private int rows;

    Example(String name) {
      this.name = name;
    }

    void check() throws IOException {
      List<Exposure.Line> further = new ArrayList<>();
      for (String line : text().lines().filter(l -> !l.startsWith("#") && !l.isBlank()).toList()) {
        if (line.contains("|")) {
          assertThat(further).as("lines of %s before: %s", name, line).isEmpty();
          further = row(line.split("\\|", -1));
        } else if (line.strip().startsWith("+ ")) {
          String[] words = line.strip().split(" ", 3);
          assertThat(further).as("further lines in %s: %s", name, line).isNotEmpty();
          Exposure.Line next = further.remove(0);
          assertThat(next.lift() + " " + next.work()).isEqualTo(words[1] + " " + words[2]);
        } else {
          head.put(line.substring(0, line.indexOf(':')), line.substring(line.indexOf(':') + 1).strip());
        }
        if (!line.strip().startsWith("+ ") && !line.contains("|")) {
          further = new ArrayList<>();
        }
      }
      assertThat(rows).isPositive();
    }

    /** Checks a row; what its exposure has beside the first line is left to the rows under it, where there are any. */
    private List<Exposure.Line> row(String[] cells) throws IOException {
      rows++;
      int number = Integer.parseInt(cells[0].strip()) - 1;
      Brief brief = brief(number);
      Exposure exposure = method().rule().write(brief, done, number, Math.max(0, number - done.size()));
      String written = cells[1].strip().replaceAll(" +", " ");
      if (written.equals("nothing")) {
        assertThat(exposure.lines()).as("row %d of %s", number + 1, name).isEmpty();
        assertThat(exposure.remarks()).hasSize(1);
        return new ArrayList<>();
      }
      Exposure.Line first = exposure.lines().get(0);
      String normal = first.work().toString();
      assertThat(first.lift().equals(brief.lift().key()) ? normal : first.lift() + " " + normal).as("row %d of %s", number + 1, name)
          .isEqualTo(written);
      assertThat(exposure.forecast()).as("forecast in row %d of %s", number + 1, name)
          .isEqualTo(method().rule().memory() && number > done.size()
          && !written.matches("9x3.*"));
      if (!cells[2].isBlank()) {
        assertThat(loads(brief, first, exposure)).as("loads of row %d of %s", number + 1, name).isEqualTo(expected(cells[2]));
      }
      if (cells.length > 3 && !cells[3].isBlank()) {
        done.add(done(brief, first, exposure, number, cells[3].strip().split(" ")));
      }
      boolean followed = text().contains("\n" + String.join("|", cells) + "\n   + ");
      return followed ? new ArrayList<>(exposure.lines().subList(1, exposure.lines().size())) : new ArrayList<>();
    }

    private Done done(Brief brief, Exposure.Line line, Exposure exposure, int number, String[] reps) {
      List<ResolvedSet> sets = sets(brief, line, exposure);
      assertThat(reps).as("reps of row %d of %s", number + 1, name).hasSameSizeAs(sets);
      List<Done.DoneSet> made = new ArrayList<>();
      for (int i = 0; i < reps.length; i++) {
        ResolvedSet set = sets.get(i);
        made.add(new Done.DoneSet(set.part(), Objects.requireNonNull(set.load()), Integer.parseInt(reps[i]), set.reps(),
            set.role() == Role.OPEN));
      }
      return new Done(number, line.lift(), made);
    }

    private String loads(Brief brief, Exposure.Line line, Exposure exposure) {
      return sets(brief, line, exposure).stream().map(set -> Objects.requireNonNull(set.load()).number()).collect(Collectors.joining(" "));
    }

    private static List<ResolvedSet> sets(Brief brief, Exposure.Line line, Exposure exposure) {
      Lift lift = LIFTS.ofKey(line.lift()).orElseThrow();
      MaxNumbers own = exposure.training() == null ? brief.numbers()
          : new MaxNumbers(brief.numbers().tested(), brief.numbers().estimated(), exposure.training(), brief.numbers().goal());
      boolean same = lift.equals(brief.lift());
      return Resolver.resolve(new Resolver.Request(WorkLine.parse(line.work().toString()), Basis.ESTIMATED, same ? own
          : MaxNumbers.NONE, Map.of(brief.lift().key(), own), null,
          brief.loadables(), brief.unit(), EffortChart.HOUSE, lift.movement(), lift.variation().partial(), List.of(), null, null)).sets();
    }

    /** {@code 60 x5} is five sets of 60. */
    private static String expected(String cell) {
      List<String> loads = new ArrayList<>();
      for (String word : cell.strip().split(" +")) {
        if (word.startsWith("x")) {
          String last = loads.get(loads.size() - 1);
          for (int i = 1; i < Integer.parseInt(word.substring(1)); i++) {
            loads.add(last);
          }
        } else {
          loads.add(word);
        }
      }
      return String.join(" ", loads);
    }

    private Method method() {
      return Method.ofKey(head.get("method")).orElseThrow();
    }

    private Brief brief(int number) {
      MassUnit unit = MassUnit.ofSymbol(head.getOrDefault("unit", "kg"));
      Lift lift = LIFTS.ofKey(head.get("lift")).orElseThrow();
      Map<String, String> numbers = pairs("numbers");
      Mass estimated = mass(numbers.get("estimated"), unit);
      Mass training = numbers.containsKey("training") ? mass(numbers.get("training"), unit) : estimated == null ? null
          : MaxNumbers.trainingFrom(estimated);
      Loadables loadables = lift.onBar() ? Loadables.of(new Kit(Mass.of(unit == MassUnit.KG ? "20"
          : "45", unit), Mass.of("0", unit), PlateStock.standard(unit))) : null;
      return new Brief(lift, unit, new MaxNumbers(null, estimated, training, mass(numbers.get("goal"), unit)), EffortChart.HOUSE, loadables,
          Settings.check(method(), pairs("settings"), LIFTS).settings(), Integer.parseInt(head.get("per week")), LIFTS)
          .counting(countdown(number));
    }

    /** The days that are left to the contest at each exposure, where the table has them. */
    private Countdown countdown(int number) {
      List<Integer> left = Arrays.stream(Optional.ofNullable(head.get("days left")).orElse("").split(" ")).filter(d -> !d.isBlank())
          .map(Integer::valueOf).toList();
      return left.isEmpty() ? null : new Countdown(left.get(number), left);
    }

    private static Mass mass(String amount, MassUnit unit) {
      return amount == null ? null : Mass.of(amount, unit);
    }

    private Map<String, String> pairs(String key) {
      return Arrays.stream(Optional.ofNullable(head.get(key)).orElse("").split(" ")).filter(p -> !p.isBlank())
          .collect(Collectors.toMap(p -> p.substring(0, p.indexOf('=')), p -> p.substring(p.indexOf('=') + 1)));
    }

    private String text() throws IOException {
      try (InputStream in = Objects.requireNonNull(GoldenPlansTest.class.getResourceAsStream(name + ".txt"), name)) {
        return new String(in.readAllBytes(), StandardCharsets.UTF_8);
      }
    }
  }
}
