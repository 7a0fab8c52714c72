package org.yarbel.web.edge;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntUnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Fuzzer;
import org.yarbel.web.support.House;
import org.yarbel.web.support.TestApp;

/** Everything that can be asked, asked for what nobody would, by a coach, a lifter and a stranger. */
@ExtendWith(TestApp.class)
class FuzzTest {
  /** More by {@code -Dfuzz=1000000}, as the benchmarks do. */
  private static final int REQUESTS = Integer.getInteger("fuzz", 5_000);
  private static final long SEED = Long.getLong("fuzz.seed", 20_260_302);
  private static final int THREADS = 3;

  /** The ids of a club by what stands before them in a path. */
  private static Map<String, List<Long>> ids(House house) {
    Map<String, List<Long>> ids = new TreeMap<>();
    ids.put("lifters", house.lifters());
    ids.put("sessions", house.ids("training_session"));
    ids.put("slots", house.ids("slot"));
    ids.put("groups", house.ids("lifter_group"));
    ids.put("contests", house.ids("contest"));
    ids.put("library", house.ids("template"));
    ids.put("kit", house.ids("place"));
    ids.put("changes", house.ids("change"));
    ids.put("progressions", house.ids("progression"));
    ids.put("silences", house.ids("silence"));
    ids.put("jobs", house.ids("job"));
    ids.put("account", house.ids("sign_in"));
    ids.put("accounts", house.ids("account"));
    ids.put("roles", house.ids("account"));
    ids.put("clubs", house.ids("account"));
    ids.put("invitations", house.ids("entry_link"));
    ids.put("records", house.ids("old_records"));
    return ids;
  }

  private static Map<String, List<Long>> both(House one, House other) {
    Map<String, List<Long>> all = ids(one);
    ids(other).forEach((name, of) -> all.merge(name, of, (a, b) -> Stream.concat(a.stream(), b.stream()).toList()));
    return all;
  }

  private static Client signedIn(House house, int who, List<Map<String, Object>> accounts) {
    forgetTries(house.app());
    house.reopen(accounts);
    return switch (who) {
      case 0 -> house.coach();
      case 1 -> house.lifter();
      default -> new Client(house.app());
    };
  }

  // what is guessed at the account's page counts against the one address all tests come from
  private static void forgetTries(TestApp app) {
    app.jdbc().sql("delete from sign_in_try").update();
  }

  /** Sends them in a few threads, each signed in again when something it asked for has signed it out; answers what was wrong. */
  private static List<String> sent(House house, List<Fuzzer.Call> calls, IntUnaryOperator who) throws Exception {
    List<String> wrong = Collections.synchronizedList(new ArrayList<>());
    Map<Integer, AtomicInteger> answers = new ConcurrentSkipListMap<>();
    List<Map<String, Object>> accounts = house.accounts();
    ExecutorService threads = Executors.newFixedThreadPool(THREADS);
    List<Future<?>> all = new ArrayList<>();
    for (int t = 0; t < THREADS; t++) {
      int thread = t;
      all.add(threads.submit(() -> {
        Map<Integer, Client> clients = new HashMap<>();
        for (int i = thread; i < calls.size(); i += THREADS) {
          int person = who.applyAsInt(i);
          Client client = clients.computeIfAbsent(person, p -> signedIn(house, p, accounts));
          HttpResponse<String> answer;
          try {
            answer = calls.get(i).by(client);
          } catch (IllegalStateException brokenOff) {
            wrong.add("half an answer to " + calls.get(i));
            continue;
          }
          answers.computeIfAbsent(answer.statusCode(), status -> new AtomicInteger()).incrementAndGet();
          if (answer.statusCode() >= 500 || answer.body().contains("Exception") || answer.body().contains("\tat ")) {
            wrong.add(answer.statusCode() + " to " + calls.get(i));
          }
          if (person < 2 && answer.headers().firstValue("Location").orElse("").endsWith("/login")) {
            clients.remove(person);
          }
        }
      }));
    }
    for (Future<?> one : all) {
      one.get(90, TimeUnit.MINUTES);
    }
    threads.shutdown();
    forgetTries(house.app());
    System.out.println(calls.size() + " requests answered: " + answers);
    return wrong;
  }

  @Test
  void nothingThatIsAskedIsAFaultOfOursOrTouchesAnotherClub(TestApp app) throws Exception {
    House house = House.called(app, "Fuzzed");
    House neighbour = House.called(app, "Neighbour");
    Fuzzer fuzzer = new Fuzzer(app);
    assertThat(fuzzer.mappings()).isGreaterThan(120);
    Map<String, String> before = House.tables(app, house.clubId());
    List<Fuzzer.Call> calls = fuzzer.calls(SEED, REQUESTS, both(house, neighbour), false);
    List<String> wrong = sent(house, calls, i -> i / fuzzer.mappings() % 8 == 7 ? 2 : i / fuzzer.mappings() % 8 == 6 ? 1 : 0);
    assertThat(wrong).as("answers of 500 and more, or with a trace").isEmpty();
    assertThat(House.tables(app, house.clubId())).as("all rows of all other clubs").isEqualTo(before);
  }

  @Test
  void noMappingLetsALifterTouchAnotherLifterOrClub(TestApp app) throws Exception {
    House house = House.called(app, "Bunkhouse");
    House neighbour = House.called(app, "Nextdoor");
    long other = house.lifters().get(1);
    Map<String, List<Long>> theirs = ids(neighbour);
    theirs.put("lifters", Stream.concat(Stream.of(other), neighbour.lifters().stream()).toList());
    theirs.put("sessions", Stream.concat(house.sessionsOf(other).stream(), neighbour.ids("training_session").stream()).toList());
    theirs.put("slots", Stream.concat(house.slotsOf(other).stream(), neighbour.ids("slot").stream()).toList());
    Fuzzer fuzzer = new Fuzzer(app);
    Map<String, String> before = House.tables(app, null);
    // what has no id and no field, and keeps a lifter's own cards on their own phone, writes rightly
    List<Fuzzer.Call> calls = fuzzer.calls(7, 5 * fuzzer.mappings(), theirs, true).stream()
        .filter(call -> !call.path().startsWith("/setup") && !call.path().equals("/me/kept")).toList();
    assertThat(sent(house, calls, i -> 1)).isEmpty();
    assertThat(House.tables(app, null)).as("all tables").isEqualTo(before);
  }

  @Test
  void aLifterNamesNoSlotOfAnotherInTheirOwnSession(TestApp app) {
    House house = House.called(app, "Slotted");
    long own = house.sessionsOf(house.lifters().get(0)).get(0);
    long theirs = house.slotsOf(house.lifters().get(1)).get(0);
    Client lifter = house.lifter();
    lifter.get("/sessions/" + own + "/card");
    Map<String, String> before = House.tables(app, null);
    for (String outcome : List.of("clear", "done", "missed")) {
      lifter.post("/sessions/" + own + "/sets", Map.of("slot", app.line(theirs), "part", "1", "set", "1", "issue", "1", "seen",
          "-1", "load", "100", "reps", "1", "key", UUID.randomUUID().toString(), "outcome", outcome));
    }
    assertThat(House.tables(app, null)).isEqualTo(before);
  }
}
