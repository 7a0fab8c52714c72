package org.yarbel.core.track;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Observation.Trait;

/** The worked example of the specification, step by step to six digits: an intermediate, tested at 200, over four days. */
class WorkedExampleTest {
  private static final LocalDate DAY_0 = LocalDate.of(2026, 1, 5);
  private static final TestedMax TESTED = new TestedMax(kg("200"), DAY_0);
  private static final List<Observation> LOG = List.of(
      set(3, "185", 1, "8"), set(3, "165", 4, "7.5"), set(3, "165", 4, null),
      set(7, "177.5", 3, "10"), set(7, "160", 3, null, Trait.EASIER), set(7, "175", 4, null, Trait.FAILED),
      set(40, "205", 1, null), set(40, "210", 0, null, Trait.FAILED));

  private static Mass kg(String amount) {
    return Mass.of(amount, MassUnit.KG);
  }

  private static Observation set(int day, String load, int reps, @Nullable String rpe, Trait... traits) {
    return Observation.of(DAY_0.plusDays(day), kg(load), reps, rpe == null ? null : Rpe.parse(rpe), traits);
  }

  private static double kg(Mass mass) {
    return mass.nanograms() / 1e12;
  }

  // max, sd and today's max of the bank after so many sets of the log
  @ParameterizedTest(name = "{0} sets, day {1}")
  @CsvSource({
    "0,  0, 201.200721, 4.918567, 201.203125, 5.304313 0.000350 0.000000 0.000000 0.000002, 0.000000 0.000000 -0.001596 -0.001596",
    "0,  3, 201.412093, 4.944946, 201.412818, 5.305363 0.000350 0.000000 0.000000 0.000001, 0.000000 0.000000 -0.001596 -0.001596",
    "1,  3, 200.864224, 4.089404, 199.603299, 5.302821 0.000335 -0.107844 0.022752 -0.001015, 0.000000 -0.276224 -0.391479 -0.537483",
    "2,  3, 200.796724, 4.033987, 198.590591, 5.303135 0.000336 -0.102434 0.069642 -0.000890, 0.000000 -0.778141 -0.381280 -1.050964",
    "3,  3, 200.796724, 4.033987, 197.698941, 5.303135 0.000336 -0.102434 0.069642 -0.000890, 0.000000 -0.778141 -0.381280 -1.050964",
    "3,  7, 201.069742, 4.110900, 200.986633, 5.304481 0.000337 -0.102025 0.069642 -0.000180, 0.000000 -0.778141 -0.381280 -1.050964",
    "4,  7, 199.841319, 3.864757, 196.916708, 5.298569 0.000197 -0.274607 0.075838 -0.007434, -0.359574 0.000000 -0.074537 -0.350113",
    "5,  7, 199.954225, 3.738553, 197.078108, 5.299193 0.000256 -0.227383 0.027472 -0.003840, -0.773444 0.000000 -0.925562 -0.491249",
    "6,  7, 200.400664, 3.392194, 197.027523, 5.300768 0.000276 -0.278132 0.022921 -0.002972, -0.720657 0.000000 -1.053623 -0.679749",
    "6, 40, 192.778155, 5.224535, 192.778153, 5.261732 0.000289 -0.269104 0.022921 -0.000000, -0.720657 0.000000 -1.053623 -0.679749",
    "7, 40, 201.674367, 4.638257, 207.575867, 5.320633 0.000719 -0.332504 0.069875 0.010106, -2.119579 -1.287033 -0.458370 0.000000",
    "8, 40, 201.182568, 4.552841, 205.214711, 5.319942 0.000714 -0.331759 0.069324 0.009988, -1.805441 -0.973294 -0.438280 0.000000"
  })
  void everyStepToSixDigits(int sets, int day, double max, double sd, double today, String means, String weights) {
    Track track = new Tracker(Level.INTERMEDIATE, TESTED).run(LOG.subList(0, sets), MassUnit.KG);
    Outlook outlook = track.on(DAY_0.plusDays(day));
    assertThat(kg(outlook.max(MassUnit.KG).max())).isCloseTo(max, within(2e-6));
    assertThat(kg(outlook.max(MassUnit.KG).sd())).isCloseTo(sd, within(2e-6));
    assertThat(kg(outlook.today(MassUnit.KG).max())).isCloseTo(today, within(2e-6));
    Bank bank = outlook.bank();
    List<String> first = new ArrayList<>();
    bank.each(filter -> first.add(IntStream.range(0, State.SIZE).mapToObj(i -> six(filter.state().mean[i])).collect(Collectors.joining(" "))));
    assertThat(first.get(0)).isEqualTo(means);
    double greatest = bank.greatest();
    List<String> ln = new ArrayList<>();
    bank.each(filter -> ln.add(six(filter.lnWeight() - greatest)));
    assertThat(String.join(" ", ln)).isEqualTo(weights);
  }

  private static String six(double value) {
    return String.format(Locale.ROOT, "%.6f", value);
  }

  @Test
  void expectsRepsAndChancesAsThere() {
    Outlook third = new Tracker(Level.INTERMEDIATE, TESTED).run(LOG.subList(0, 3), MassUnit.KG).on(DAY_0.plusDays(3));
    assertThat(third.repsAt(kg("165"))).isCloseTo(6.465795, within(1e-6));
    assertThat(third.chance(kg("200"))).isCloseTo(0.231409, within(1e-6));
    Standing end = new Tracker(Level.INTERMEDIATE, TESTED).run(LOG, MassUnit.KG).standing();
    Outlook later = Standing.of(Level.INTERMEDIATE, end.numbers()).orElseThrow().on(DAY_0.plusDays(60));
    assertThat(kg(later.max(MassUnit.KG).max())).isCloseTo(199.641148, within(1e-6));
    assertThat(kg(later.max(MassUnit.KG).sd())).isCloseTo(5.098371, within(1e-6));
    assertThat(later.chance(kg("200"))).isCloseTo(0.499941, within(1e-6));
  }
}
