package org.yarbel.web.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class WorkbenchTest {
  private static Client coach;

  private static synchronized HttpResponse<String> get(String tool) {
    coach = coach == null ? Client.of(TestApp.running(), "coach") : coach;
    return coach.get("/workbench/" + tool);
  }

  // the sums are those of the core's own tests; here they reach the page, from what stands in the link
  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "estimate?load=140&reps=5&rpe=8&unit=kg | <b>164.5 to 173.6 kg</b>",
    "estimate?load=140&reps=5&rpe=8&unit=kg | <td>172.7</td>",
    "estimate?load=100&reps=12&unit=lb | Over ten reps to failure an estimate is weak.",
    "chart?curve=epley | <td>93.8</td>",
    "chart?curve=house&max=200&unit=kg | <td>166</td>",
    "plates?loads=182.5&unit=kg | 25 25 25 5 1.25 a side",
    "plates?loads=101&unit=kg | nearest above",
    "plates?loads=15&unit=kg | The bar is heavier than that: 20 kg is the lightest that loads.",
    "plates?loads=999&bar=20&unit=kg | 25 25 25",
    "plates?loads=60+100+140&unit=kg | 20 20 20 a side",
    "plates?loads=60+100+140&unit=kg | 1 plate a side to change",
    "ramp?top=240&unit=kg&lift=squat | <b>182.5 kg</b>",
    "ramp?top=405&unit=lb&lift=deadlift&style=even | <b>315 lb</b>",
    "ramp?top=50&unit=kg&lift=deadlift | raise the bar on blocks",
    "bands?kind=reverse&bar=200&pulls=40:0+60:12+100:26&bottom=100&top=40&free=150&unit=kg | <b>148 kg</b> at the bottom",
    "bands?kind=reverse&bar=200&pulls=40:0+60:12+100:26&bottom=100&top=40&free=150&unit=kg | Begin with a bar of <b>202 kg</b>",
    "bands?bar=100&pulls=60:12+100:26&bottom=60&top=100&unit=kg | <b>152 kg</b> at the top",
    "bands?kind=chains&bar=100&chainMass=10&chainSlack=2&unit=kg | <b>104 kg</b> at the bottom",
    "points?sex=m&bodyMass=93&total=800&unit=kg | <b>509.00</b>",
    "points?sex=m&bodyMass=35&total=300&unit=kg | must be from 40.0 to 201.9 kg for the Wilks formula",
    "units?amount=142.5&unit=kg | <b>314.16 lb</b>",
    "units?amount=315&unit=lb | 142.5 kg",
  })
  void worksOutWhatStandsInTheLink(String link, String answer) {
    HttpResponse<String> page = get(link);
    assertThat(page.statusCode()).as(page.body()).isEqualTo(200);
    assertThat(page.body()).contains(answer);
  }

  @ParameterizedTest
  @CsvSource(delimiter = '|', value = {
    "estimate?load=-5&reps=5 | A mass cannot be negative: -5.",
    "estimate?load=100&reps=12&rpe=6 | That is 16 reps to failure. More than 15 say too little about a max.",
    "estimate?load=100&reps=5&rpe=11 | RPE must be from 6 to 10 inclusive but was 11.",
    "estimate?load=100&reps=5&rpe=x | Write the RPE as a number from 6 to 10, such as 8.5.",
    "plates?loads=100+x | Write the mass as a number in kg, such as 142.5.",
    "plates?loads=100&bar=300 | The bar must be at most 200 kg but was 300 kg.",
    "ramp?top=15&lift=squat | The bar is heavier than that: 20 kg is the lightest that loads.",
    "ramp?top=240&style=even&jump=1 | So small a jump makes more than 20 steps.",
    "bands?bar=100&pulls=60:12+100:10&bottom=60&top=100 | A band pulls harder the further it is stretched",
    "bands?bar=100&pulls=60&bottom=60&top=100 | Write each length in cm with its pull, such as 60:12 100:26; &#39;60&#39; is not that.",
    "bands?bar=100&pulls=60:12+100:26&bottom=60&top=150 | was measured from 60 to 100 cm, not at 1",
    "bands?bar=100&pulls=60:12+100:26&bottom=90&top=60 | the wrong way round",
    "bands?kind=reverse&bar=40&pulls=60:12+100:26&bottom=100&top=60 | The bar floats: the bands hold 52 kg at the bottom and "
        + "the bar has 40 kg. Start above it.",
    "bands?kind=chains&bar=100 | Choose a pair of chains, or write the mass of one.",
    "bands?bar=100 | Choose a pair of bands, or write its pulls.",
    "points?bodyMass=8&total=500 | The body mass must be from 20 to 300 kg but was 8 kg. Is it kg or lb?",
    "points?bodyMass=80&total=4000 | The total must be at most 3000 kg but was 4000 kg.",
    "units?amount=lots | Write the mass as a number in kg, such as 142.5.",
  })
  void saysBesideTheFieldWhatCannotBe(String link, String message) {
    HttpResponse<String> page = get(link);
    assertThat(page.statusCode()).isEqualTo(422);
    assertThat(page.body()).contains(message);
  }

  @Test
  void usesTheKitOfAPlaceAndTheBarOfTheLift(TestApp app) {
    String hall = app.hall();
    assertThat(get("plates?loads=58&unit=kg&place=" + hall + "&lift=safety-bar-squat").body()).as("a bar of 28 kg").contains("15 a side");
    assertThat(get("plates?loads=120&unit=kg&place=" + hall + "&lift=stone-load").body()).as("stones of 115 and 130")
        .contains("<b>115 kg</b>", "<b>130 kg</b>");
    assertThat(get("plates?loads=100&unit=kg&place=" + hall + "&lift=plank").body()).contains("has nothing to load a plank with");
    assertThat(get("bands?bar=100&unit=kg&bottom=60&top=90&band=" + hall + "-0").body()).contains("<b>112 kg</b> at the bottom");
    assertThat(get("bands?kind=chains&bar=100&unit=kg&chain=" + hall + "-0").body()).contains("<b>118 kg</b> at the top");
  }

  @Test
  void anEmptyFormIsNoMistakeAndAnUnknownToolNoPage() {
    for (String tool : new String[] {"estimate", "chart", "plates", "ramp", "bands", "points", "units"}) {
      assertThat(get(tool).statusCode()).as(tool).isEqualTo(200);
    }
    assertThat(get("horoscope").statusCode()).isEqualTo(404);
    assertThat(Client.of(TestApp.running(), "maren").get("/workbench/plates?loads=100").statusCode()).as("lifters, too").isEqualTo(200);
  }
}
