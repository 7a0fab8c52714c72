package org.yarbel.web.card;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;
import org.yarbel.web.who.SignedIn;

@ExtendWith(TestApp.class)
class CardViewTest {
  private static CardView view(TestApp app, long session, String open) {
    SignedIn coach = app.bean(Accounts.class).of("coach@tarnbrook.example").get(0);
    return app.bean(CurrentClub.class).within(coach.clubId(),
        () -> CardView.of(app.bean(CardService.class).open(session, coach), new CardView.Wanted(open, null, null)));
  }

  private static List<String> titles(CardView view, int slot) {
    return view.slots().get(slot).sets().stream().filter(set -> !set.attempt()).map(CardView.SetView::title).toList();
  }

  /** A session of a lifter of this test's own, with these lines of the squat. */
  private static long session(TestApp app, String name, String... lines) {
    Client coach = Client.of(app, "coach");
    coach.get("/lifters/new");
    coach.post("/lifters", Map.of("name", name, "unit", "KG", "place",
        app.hall(),
        "lift.1", "squat", "load.1", "200", "how.1", "tested", "on.1", "2026-02-20"));
    coach.get("/lifters/" + app.lifter(name) + "/week");
    for (String line : lines) {
      coach.post("/lifters/" + app.lifter(name) + "/days/" + TestApp.TODAY + "/slots",
          Map.of("kind", "MAIN", "lift", "squat", "work", line));
    }
    return app.session(name, TestApp.TODAY);
  }

  @Test
  void namesEachSetByWhatItIsFor(TestApp app) {
    CardView view = view(app, session(app, "Isla Corran", "1x1 @8; 2x4 -15%", "2x5+ 80%", "1x3 90%; 1xAMRAP 70% cap @9"), null);
    assertThat(titles(view, 0)).containsExactly("top single", "back-off 1 of 2", "back-off 2 of 2");
    assertThat(titles(view, 1)).containsExactly("set 1 of 2", "last set, open");
    assertThat(titles(view, 2)).containsExactly("one set", "open set");
    assertThat(view.slots().get(1).sets().get(1).asked()).isEqualTo("× 5+");
    assertThat(view.slots().get(1).sets().get(1).notes()).containsExactly("stop when form goes", "as many as 8 ± 1");
    assertThat(view.slots().get(2).sets().get(1).asked()).isEqualTo("× as many as possible");
    assertThat(view.slots().get(2).sets().get(1).notes()).first().isEqualTo("stop at @9");
    assertThat(view.slots().get(0).sets().get(0).share()).isEqualTo("93 % of estimated");
    assertThat(view.slots().get(0).basis()).as("with the day of what it knows").isEqualTo("estimated 201.9 kg, 20 Feb");
  }

  @Test
  void putsTheNextSetNotDoneInTheForegroundOrTheOneAskedFor(TestApp app) {
    long session = session(app, "Corin Fell", "1x1 @8 rest 4:00 tempo 2-1-X-0; 2x4 -15%");
    CardView view = view(app, session, null);
    String first = view.slots().get(0).sets().get(0).panel();
    String last = view.slots().get(0).sets().get(2).panel();
    assertThat(view.current()).isEqualTo(first);
    assertThat(view.slots().get(0).sets().get(0).notes()).containsExactly("tempo 2-1-X-0", "goes up 95 times in 100");
    assertThat(view.panels().get(0)).satisfies(panel -> {
      assertThat(panel.rest()).isEqualTo(240);
      assertThat(panel.usual()).as("written").isFalse();
      CardView.SetView second = view.panels().stream().filter(p -> !p.set().attempt()).toList().get(1).set();
      assertThat(panel.next()).extracting(CardView.NextView::what).asString().endsWith(", back-off 1 of 2");
      assertThat(panel.next()).returns(second.load(), CardView.NextView::load).returns("× 4", CardView.NextView::asked)
          .returns(second.panel(), CardView.NextView::panel);
    });
    assertThat(view(app, session, last).current()).isEqualTo(last);
    assertThat(view(app, session, "99-9-9").current()).as("no such set").isEqualTo(first);
    assertThat(view.tables().values()).singleElement().satisfies(tables -> {
      assertThat(tables.backOffs()).hasSize(1);
      assertThat(tables.today()).as("for a phone without signal, while nothing is lifted").isNotNull();
      assertThat(tables.backOffs().get(0).rows()).contains(List.of("190", "162.5", "25 25 20 1.25"));
    });
  }

  @Test
  void saysWhyALineCannotBeWorkedOutAndShowsTheRest(TestApp app) {
    long session = session(app, "Merrin Stow", "3x5 75%");
    Client coach = Client.of(app, "coach");
    coach.get("/lifters/" + app.lifter("Merrin") + "/week");
    app.jdbc().sql("insert into slot (id, club_id, session_id, position, kind, lift, work, version) select "
        + "nextval('yarbel_id'), club_id, id, 9, 'SECOND', 'bench', '3x5 75%', 0 from training_session where id = :id")
        .param("id", session).update();
    CardView view = view(app, session, null);
    assertThat(view.slots()).hasSize(2);
    assertThat(view.slots().get(1).problem()).startsWith("The estimated max is not known");
    assertThat(view.slots().get(1).sets()).isEmpty();
    assertThat(coach.card(session).body()).contains("The estimated max is not known");
  }

  @Test
  void isFinishedWhenEverySetIsLogged(TestApp app) {
    long session = session(app, "Teagan Loxley", "1x5 100kg");
    CardView.SetView set = view(app, session, null).slots().get(0).sets().get(0);
    Client coach = Client.of(app, "coach");
    coach.card(session);
    coach.post("/sessions/" + session + "/sets", Map.of("key", UUID.randomUUID().toString(), "slot", set.ref().toString(), "part", "1",
        "set", "1", "issue", "1", "seen", "-1", "load", "100", "reps", "5", "outcome", "missed"));
    CardView view = view(app, session, null);
    assertThat(view.finished()).isTrue();
    assertThat(view.slots().get(0).sets().get(0).doneWords()).isEqualTo("100 kg, no rep made");
  }
}
