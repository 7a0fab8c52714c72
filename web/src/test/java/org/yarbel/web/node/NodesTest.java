package org.yarbel.web.node;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.TestedMax;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Nodes;
import org.yarbel.web.support.Stood;
import org.yarbel.web.support.TestApp;

/**
 * Two nodes on one database behind a proxy, killed one after the other and the database with them while lifters log. In the suite
 * a short storm; by {@code ./yarbel bench} ten thousand sets from fifty clients through sixteen kills.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class NodesTest {
  private static final int SETS = Integer.getInteger("sets", 200);
  private static final int CLIENTS = Integer.getInteger("clients", 8);
  private static final int KILLS = Integer.getInteger("kills", 2);
  private static final int SETS_OF_A_SESSION = 25;
  private static final String CODE = "0123456789abcdef0123456789abcdef";

  private static Nodes nodes;

  @BeforeAll
  static void twoNodesAndAClub() {
    nodes = new Nodes(2, "--yarbel.demo=false", "--yarbel.setup-code=" + CODE);
    nodes.proxy();
    Client first = Client.at(nodes.proxied());
    first.get("/setup");
    assertThat(first.post("/setup", Map.of("code", CODE, "club", "Two Nodes", "unit", "KG", "zone", "UTC", "name", "Coach",
        "email", "coach@nodes.example", "password", "granite lantern kayak")).statusCode()).isEqualTo(302);
    JdbcClient jdbc = nodes.jdbc();
    jdbc.sql("insert into person (id, email, password_hash) select 9000000 + n, 'hand' || n || '@nodes.example', password_hash from person "
        + "cross join generate_series(1, " + CLIENTS + ") n").update();
    jdbc.sql("insert into account (id, club_id, person_id, role, name) select 9000000 + n, club_id, 9000000 + n, role, 'Hand ' || n from "
        + "account cross join generate_series(1, " + CLIENTS + ") n").update();
    int lifters = Math.max(30, SETS / SETS_OF_A_SESSION);
    jdbc.sql("insert into lifter (id, club_id, place_id, name, unit, sex, birth_year, note, version, days_free) select "
        + "nextval('yarbel_id'), p.club_id, p.id, 'Lifter ' || n, "
        + "'KG', 'F', 1990, '', 0, 127 from place p cross join generate_series(1, " + lifters + ") n").update();
    jdbc.sql("insert into lift_numbers (id, club_id, lifter_id, lift, level, basis, tested_ng, tested_unit, tested_on, "
        + "standing, tracked_with, version) "
        + "select nextval('yarbel_id'), club_id, l.id, lift, 'INTERMEDIATE', 'ESTIMATED', 150000000000000, 'KG', :day, "
        + ":standing::double precision[], 1, 0 from lifter l "
        + "cross join unnest(array['squat', 'bench', 'deadlift']) lift").param("day", TestApp.TODAY)
        .param("standing", Stood.after(new TestedMax(Mass.of("150", MassUnit.KG), TestApp.TODAY))).update();
    jdbc.sql("insert into training_session (id, club_id, lifter_id, day, version) select nextval('yarbel_id'), club_id, id, "
        + ":day, 0 from lifter").param("day", TestApp.TODAY).update();
    jdbc.sql("insert into slot (id, club_id, session_id, position, kind, lift, work, version) select nextval('yarbel_id'), "
        + "club_id, id, p, 'MAIN', "
        + "(array['squat', 'bench', 'deadlift'])[1 + p % 3], '5x3 70%', 0 from training_session cross join generate_series(1, "
        + SETS_OF_A_SESSION / 5 + ") p").update();
  }

  @AfterAll
  static void endThem() {
    nodes.close();
  }

  private static Client signedIn(String base) {
    return signedIn(base, "coach");
  }

  private static Client signedIn(String base, String who) {
    for (int i = 0; i < 600; i++) {
      try {
        Client client = Client.at(base);
        client.get("/login");
        int status = client.post("/login", Map.of("email", who + "@nodes.example", "password", "granite lantern kayak")).statusCode();
        if (status == 302 && client.get("/lifts").statusCode() == 200) {
          return client;
        }
      } catch (IllegalStateException away) {
        // tried again
      }
      LockSupport.parkNanos(200_000_000);
    }
    throw new IllegalStateException("Nobody can sign in at " + base);
  }

  /** One hand with a phone, which logs one session after the other. */
  private static final class Phone {
    private final String who;
    private Client client;

    Phone(String who) {
      this.who = who;
    }

    void signIn() {
      client = signedIn(nodes.proxied(), who);
    }
  }

  /** A set to log, with the key it was given on the phone. */
  private record Entry(long session, String line, int set, UUID key) {
    Map<String, String> form() {
      return Map.of("key", key.toString(), "slot", line, "part", "1", "set", Integer.toString(set), "issue", "1", "seen", "-1",
          "load", "105", "reps", "3", "outcome", "done");
    }
  }

  private static List<Entry> entries() {
    record Line(long session, String line) {}
    List<Entry> all = new ArrayList<>();
    nodes.jdbc().sql("select session_id as session, ref::text as line from slot where work = '5x3 70%' order by session_id, "
        + "position").query(Line.class).list()
        .forEach(line -> IntStream.rangeClosed(1, 5)
            .forEach(set -> all.add(new Entry(line.session(), line.line(), set, UUID.randomUUID()))));
    return all.subList(0, SETS);
  }

  /** Sends one as a phone does: again and again under the same key until it is acknowledged. */
  private static int until(Phone phone, Entry entry) {
    for (int tries = 1; tries < 2_000; tries++) {
      try {
        HttpResponse<String> answer = phone.client.post("/sessions/" + entry.session() + "/sets", entry.form());
        int status = answer.statusCode();
        if (answer.headers().firstValue("Location").orElse("").contains("/card")) {
          return tries;
        }
        if (status == 403 || status == 302) {
          phone.signIn();
        }
        assertThat(status).as("neither taken nor to be tried again").isNotIn(400, 404, 409, 422);
      } catch (IllegalStateException away) {
        // the connection was lost: whether it arrived nobody knows
      }
      LockSupport.parkNanos(100_000_000);
    }
    throw new IllegalStateException("Never taken: " + entry);
  }

  @Test
  @Order(4)
  void everySetThatWasAcknowledgedIsThereOnceThroughEveryKill() throws Exception {
    List<Entry> all = entries();
    Queue<List<Entry>> sessions = new ConcurrentLinkedQueue<>(all.stream()
        .collect(Collectors.groupingBy(Entry::session, LinkedHashMap::new, Collectors.toList())).values());
    AtomicInteger acknowledged = new AtomicInteger();
    AtomicInteger again = new AtomicInteger();
    ExecutorService clients = Executors.newFixedThreadPool(CLIENTS);
    long began = System.nanoTime();
    List<Future<?>> running = new ArrayList<>();
    for (int c = 1; c <= CLIENTS; c++) {
      Phone phone = new Phone("hand" + c);
      running.add(clients.submit(() -> {
        phone.signIn();
        for (List<Entry> session = sessions.poll(); session != null; session = sessions.poll()) {
          for (Entry entry : session) {
            again.addAndGet(until(phone, entry) - 1);
            acknowledged.incrementAndGet();
          }
        }
      }));
    }
    for (int kill = 1; kill <= KILLS; kill++) {
      int wanted = all.size() * kill / (KILLS + 1);
      while (acknowledged.get() < wanted && running.stream().anyMatch(one -> !one.isDone())) {
        LockSupport.parkNanos(20_000_000);
      }
      kill(kill);
    }
    for (Future<?> one : running) {
      one.get(90, TimeUnit.MINUTES);
    }
    clients.shutdown();
    System.out.printf(Locale.ROOT, "%d sets from %d clients through %d kills in %.0f s; %d were sent again%n", all.size(), CLIENTS, KILLS,
        (System.nanoTime() - began) / 1e9, again.get());
    Set<UUID> there = new HashSet<>(nodes.jdbc().sql("select entry_key from logged_set").query(UUID.class).list());
    assertThat(there).as("every acknowledged one").containsAll(all.stream().map(Entry::key).toList());
    assertThat(nodes.jdbc().sql("select count(*) from logged_set").query(Integer.class).single()).as("none twice").isEqualTo(all.size());
    nodes.awaitHealth(0);
    nodes.awaitHealth(1);
  }

  private static void kill(int number) {
    switch (number % 3) {
      case 1 -> {
        nodes.kill(0);
        nodes.startAgain(0);
      }
      case 2 -> {
        nodes.killDatabase();
        nodes.startDatabase();
      }
      default -> {
        nodes.kill(1);
        nodes.startAgain(1);
      }
    }
  }

  @Test
  @Order(1)
  void workOfAKilledNodeIsGoneOnWithByTheOther() {
    nodes.awaitHealth(0);
    nodes.awaitHealth(1);
    Client coach = signedIn(nodes.url(0));
    List<Long> lifters = nodes.jdbc().sql("select id from lifter order by id limit 30").query(Long.class).list();
    String source = "/lifters/" + lifters.get(0);
    coach.get(source + "/runway");
    assertThat(coach.post(source + "/runway/plan", Map.of("way", "join")).statusCode()).isEqualTo(302);
    coach.get(source + "/runway");
    HttpResponse<String> copied = coach.post(source + "/runway/copy",
        Map.of("to", lifters.stream().skip(1).map(String::valueOf).collect(Collectors.joining(","))));
    assertThat(copied.statusCode()).as(copied.body()).isEqualTo(302);
    String job = copied.headers().firstValue("Location").orElseThrow();
    long id = Long.parseLong(job.replaceFirst(".*/jobs/(\\d+).*", "$1"));
    String done = "select count(*) from job_item where job_id = " + id + " and state = 'DONE'";
    await(Duration.ofSeconds(60), () -> nodes.jdbc().sql(done).query(Integer.class).single() >= 5);
    nodes.kill(0);
    int left = nodes.jdbc().sql(done).query(Integer.class).single();
    await(Duration.ofSeconds(30), () -> nodes.jdbc().sql("select ended is not null from job where id = " + id).query(Boolean.class)
        .single());
    assertThat(nodes.jdbc().sql(done).query(Integer.class).single()).as("of 29, after %s by the killed one", left).isEqualTo(29);
    assertThat(nodes.jdbc().sql("select count(*) from long_plan").query(Integer.class).single()).isEqualTo(30);
    nodes.startAgain(0);
  }

  @Test
  @Order(2)
  void whatOneNodeChangesTheOtherShowsAtOnce() {
    nodes.awaitHealth(0);
    nodes.awaitHealth(1);
    Client one = signedIn(nodes.url(0));
    Client other = signedIn(nodes.url(1));
    String kit = one.get("/kit").headers().firstValue("Location").orElseThrow().replaceFirst("^https?://[^/]+", "");
    assertThat(other.get(kit).body()).contains("Two Nodes");
    one.get(kit);
    nodes.jdbc().sql("select 1").query(Integer.class).single();
    Map<String, String> fields = new HashMap<>(Map.of("version", nodes.jdbc().sql("select version::text from place")
        .query(String.class).single(), "name", "Renamed hall", "unit", "KG",
        "bar.0.name", "Thin bar", "bar.0.mass", "15", "bar.0.unit", "KG", "kg.0.size", "25", "kg.0.pairs", "4"));
    List<String> smaller = List.of("20", "10", "5", "2.5", "1.25");
    IntStream.range(0, smaller.size()).forEach(i ->
        fields.putAll(Map.of("kg." + (i + 1) + ".size", smaller.get(i), "kg." + (i + 1) + ".pairs", "1")));
    assertThat(one.post(kit, fields).statusCode()).isEqualTo(302);
    assertThat(other.get(kit).body()).as("within 2 s, and in truth with the next request").contains("Renamed hall")
        .contains("Thin bar").contains("15 kg to 292.5 kg");
  }

  @Test
  @Order(3)
  void aDatabaseThatStandsStillIsAWordWithinSecondsAndIsGoneOnWith() {
    nodes.awaitHealth(0);
    Client coach = signedIn(nodes.url(0));
    nodes.freezeDatabase(true);
    long began = System.nanoTime();
    try {
      HttpResponse<String> page = Client.at(nodes.url(0)).get("/login");
      assertThat(page.statusCode()).isEqualTo(503);
      assertThat(page.body()).contains("The records cannot be reached");
      assertThat(coach.get("/lifts").statusCode()).isEqualTo(503);
      assertThat(Client.at(nodes.url(0)).get("/css/yarbel.css").statusCode()).as("what needs no database").isEqualTo(200);
    } finally {
      nodes.freezeDatabase(false);
    }
    assertThat(Duration.ofNanos(System.nanoTime() - began)).isLessThan(Duration.ofSeconds(60));
    await(Duration.ofSeconds(30), () -> coach.get("/lifts").statusCode() == 200);
  }

  @Test
  @Order(5)
  void aNodeThatIsToldToStopFinishesWhatIsUnderWay() {
    nodes.awaitHealth(0);
    nodes.awaitHealth(1);
    Client coach = signedIn(nodes.url(1));
    CompletableFuture<Integer> underWay = CompletableFuture.supplyAsync(() -> coach.get("/lifts").statusCode());
    LockSupport.parkNanos(5_000_000);
    assertThat(nodes.stop(1, Duration.ofSeconds(40))).as("it ends").isTrue();
    assertThat(underWay.join()).isEqualTo(200);
  }

  private static void await(Duration time, BooleanSupplier what) {
    long until = System.nanoTime() + time.toNanos();
    while (!what.getAsBoolean()) {
      assertThat(System.nanoTime()).as("in %s", time).isLessThan(until);
      LockSupport.parkNanos(50_000_000);
    }
  }
}
