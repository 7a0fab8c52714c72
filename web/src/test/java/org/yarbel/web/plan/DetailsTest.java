package org.yarbel.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.core.card.HandRamp;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.Groups;
import org.yarbel.web.column.CoreJson;

class DetailsTest {
  private static Details wearing(String gear, Long fromKilograms) {
    return new Details(false, null, gear, fromKilograms == null ? null : fromKilograms * MassUnit.KG.nanograms(),
        fromKilograms == null ? null : MassUnit.KG, null, null, null, null);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', nullValues = "-", value = {
    "- | - | -", "- | 140 | usual gear from 140 kg", "none | - | no gear", "BELT | - | belt",
    "BELT,KNEE_SLEEVES | 100 | belt, knee sleeves from 100 kg",
  })
  void saysWhatIsWornAndFromWhichLoad(String gear, Long from, String words) {
    assertThat(wearing(gear, from).gearWords()).isEqualTo(words);
  }

  @Test
  void readsBackTheGearAndTheWarmUp() {
    assertThat(wearing("BELT,STRAPS", null).pieces()).containsExactly(Gear.BELT, Gear.STRAPS);
    assertThat(wearing("none", null).pieces()).isEmpty();
    assertThat(wearing("BELT", 140L).gearFrom()).isEqualTo(Mass.of("140", MassUnit.KG));
    Details byHand = new Details(true, null, null, null, null, null, null, null, "45x10 95x5 lb");
    assertThat(HandRamp.parse(byHand.beside().ramp(), MassUnit.KG).steps()).last()
        .satisfies(step -> assertThat(step.load()).isEqualTo(Mass.of("95", MassUnit.LB)));
    assertThat(Details.NONE.beside().ramp()).isNull();
    assertThat(Details.NONE.any()).isFalse();
    assertThat(byHand.any()).isTrue();
  }

  @Test
  void theGroupsOfASessionAreReadBackAsTheyWereStored() {
    Group superset = new Group(Group.Kind.SUPERSET, 3, 30, 90, null);
    Groups groups = new Groups(List.of()).with(new Groups.Numbered(1, superset, null)).with(new Groups.Numbered(2, superset, 1));
    GroupsColumn column = new GroupsColumn(new CoreJson());
    assertThat(column.convertToEntityAttribute(column.convertToDatabaseColumn(groups))).isEqualTo(groups);
    assertThat(groups.free()).isEqualTo(3);
    assertThat(new Groups(List.of()).free()).isEqualTo(1);
    assertThat(groups.group(null)).isNull();
    assertThat(groups.group(9)).isNull();
  }

  @Test
  void aGroupDoneAgainIsAsTheFirstIsNow() {
    Group superset = Group.ofLines(2);
    Group circuit = new Group(Group.Kind.CIRCUIT, 2, null, null, null);
    Groups groups = new Groups(List.of(new Groups.Numbered(1, superset, null), new Groups.Numbered(2, superset, 1)));
    assertThat(groups.with(new Groups.Numbered(1, circuit, null)).group(2)).isEqualTo(circuit);
    assertThat(groups.without(1).all()).as("with the first goes the second").isEmpty();
    assertThat(groups.without(2).all()).extracting(Groups.Numbered::number).containsExactly(1);
  }
}
