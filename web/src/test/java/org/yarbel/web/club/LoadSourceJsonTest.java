package org.yarbel.web.club;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.web.column.CoreJson;

/** An issued card keeps where its loads come from. */
class LoadSourceJsonTest {
  private static final Mass MAX = Mass.of("200", MassUnit.KG);

  @ParameterizedTest
  @ValueSource(strings = {"3x5 75-80% tm", "3x5 @8", "1x1 90%; 3x5 -5% each", "1x1 90%; 3x5 -10kg", "1x1 90%; 3x5 80% top",
      "3x5 100kg", "3x5", "3x5 bw+10kg", "3x3 60% chains 20kg at top"})
  void isReadBackAsItWasWritten(String work) {
    Resolver.Request request = new Resolver.Request(WorkLine.parse(work), Basis.ESTIMATED,
        new MaxNumbers(MAX, MAX, MAX.scaled(0.9), null), Map.of(),
        Mass.of("90", MassUnit.KG), Loadables.of(Kit.standard(MassUnit.KG)), MassUnit.KG, EffortChart.HOUSE,
        Movement.SQUAT, false, List.of(), null, null);
    CoreJson json = new CoreJson();
    for (ResolvedSet set : Resolver.resolve(request).sets()) {
      assertThat(json.read(json.write(set), ResolvedSet.class)).isEqualTo(set);
    }
  }
}
