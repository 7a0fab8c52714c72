package org.yarbel.web.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Someone;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class FindTest {
  @Test
  void findsPeopleAndPagesByAPartOfTheirName(TestApp app) {
    Someone.called(app, "Zephyrine Quarle", Map.of("squat", "150"));
    Client coach = Client.of(app, "coach");
    assertThat(coach.get("/find?q=zephy", "HX-Request", "true").body()).contains("Zephyrine Quarle").doesNotContain("<html");
    assertThat(coach.get("/find?q=workb").body()).contains("Workbench").contains("<html");
    assertThat(coach.get("/find?q=").statusCode()).isEqualTo(200);
  }

  @Test
  void signsAreSignsAndLongWordsAreCut(TestApp app) {
    Client coach = Client.of(app, "coach");
    assertThat(coach.get("/find?q=%25").body()).as("no wildcard").doesNotContain("Maren");
    assertThat(coach.get("/find?q=%00ma%00ren").statusCode()).as("no sign of a name").isEqualTo(200);
    assertThat(coach.get("/find?q=_").body()).doesNotContain("Maren");
    assertThat(coach.get("/find?q=%3Cscript%3Ealert(1)%3C/script%3E").body()).doesNotContain("<script>alert");
    assertThat(coach.get("/find?q=" + "a".repeat(3000)).statusCode()).isEqualTo(200);
  }

  @Test
  void aLifterFindsNobodyElse(TestApp app) {
    assertThat(Client.of(app, "maren").get("/find?q=odile").body()).doesNotContain("Odile Farrant");
  }
}
