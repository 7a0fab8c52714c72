package org.yarbel.web.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
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

  /** What would not open is not offered: the doors say it, once. */
  @Test
  void pagesAreFoundByWhomTheyOpenFor(TestApp app) {
    Map<String, String> opens = Map.of("/lifters/new", "take+somebody", "/house", "backups", "/people", "whose+lifters", "/kit", "implements");
    Map<String, Set<String>> found = new HashMap<>();
    for (String who : List.of("coach", "hedda", "anselm")) {
      Client client = Client.signIn(app, who);
      found.put(who, opens.entrySet().stream().filter(page -> client.get("/find?q=" + page.getValue(), "HX-Request", "true").body()
          .contains("href=\"" + page.getKey() + "\"")).map(Map.Entry::getKey).collect(Collectors.toSet()));
      assertThat(opens.keySet().stream().filter(page -> client.get(page).statusCode() < 400).collect(Collectors.toSet()))
          .as("what opens for " + who).isEqualTo(found.get(who));
    }
    assertThat(found.get("coach")).as("an owner").isEqualTo(opens.keySet());
    assertThat(found.get("hedda")).as("a coach").containsExactlyInAnyOrder("/lifters/new", "/people", "/kit");
    assertThat(found.get("anselm")).as("an assistant").containsExactly("/kit");
  }
}
