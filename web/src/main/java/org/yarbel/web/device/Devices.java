package org.yarbel.web.device;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.core.mass.Refused;
import org.yarbel.web.audit.SecurityLog;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Turns;
import org.yarbel.web.edge.Secrets;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SpeedSource;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/** The devices of lifters, and what they tell. */
@Service
public class Devices {
  static final int MOST = 10;
  /** A set is written down so long after its last rep, or so long before a device that was slow tells of it. */
  private static final Duration SOON = Duration.ofMinutes(10);
  private static final Duration CLOCKS_DIFFER = Duration.ofMinutes(2);
  private static final Limit LOOKED_AT = Limit.of(5);

  private final DeviceRepository devices;
  private final DeviceSetRepository told;
  private final LoggedSetRepository sets;
  private final LifterRepository lifters;
  private final JdbcClient jdbc;
  private final CurrentClub club;
  private final ClubClock clock;
  private final Turns turns;
  private final SecurityLog security;
  private final TransactionTemplate transaction;

  Devices(DeviceRepository devices, DeviceSetRepository told, LoggedSetRepository sets, LifterRepository lifters, JdbcClient jdbc,
      CurrentClub club, ClubClock clock, Turns turns, SecurityLog security, TransactionTemplate transaction) {
    this.devices = devices;
    this.told = told;
    this.sets = sets;
    this.lifters = lifters;
    this.jdbc = jdbc;
    this.club = club;
    this.clock = clock;
    this.turns = turns;
    this.security = security;
    this.transaction = transaction;
  }

  /** The lifter of who asks. */
  Lifter lifter(long lifterId, SignedIn who) {
    return lifters.findById(lifterId).filter(lifter -> who.maySee(lifterId)).orElseThrow(NotFound::new);
  }

  @Transactional(readOnly = true)
  List<Device> of(long lifterId) {
    return devices.findByLifterIdOrderByIdDesc(lifterId);
  }

  @Transactional(readOnly = true)
  List<DeviceSet> told(long lifterId) {
    return told.findByLifterIdOrderByIdDesc(lifterId, Limit.of(20));
  }

  /** Adds a device; its token is told once and never again. */
  @Transactional
  public String add(long lifterId, String name, SignedIn who) {
    lifter(lifterId, who);
    turns.ofLifter(lifterId);
    if (devices.findByLifterIdOrderByIdDesc(lifterId).stream().filter(device -> !device.revoked()).count() >= MOST) {
      throw new Refused("A lifter has at most " + MOST + " devices. Revoke one that is not used any more");
    }
    String token = Secrets.make();
    devices.saveAndFlush(new Device(lifterId, name, Secrets.fingerprint(token), clock.now()));
    security.note(SecurityLog.Event.DEVICE_ADDED, who.clubId(), who.accountId(), "a device of lifter " + lifterId);
    return token;
  }

  /** Its token opens nothing from now on; what it told stays. */
  @Transactional
  public void revoke(long lifterId, long id, SignedIn who) {
    lifter(lifterId, who);
    Device device = devices.findById(id).filter(one -> one.lifterId() == lifterId).orElseThrow(NotFound::new);
    device.revoke(clock.now());
    devices.saveAndFlush(device);
    security.note(SecurityLog.Event.DEVICE_REVOKED, who.clubId(), who.accountId(), "a device of lifter " + lifterId);
  }

  /** What became of what a device sent. */
  record Taken(int reps, boolean found) {}

  private record Known(long clubId, long id) {}

  /** Takes the reps of a set from whoever has a token; empty where it opens nothing. */
  Optional<Taken> take(SensorReps.Sent sent) {
    String token = sent.device() == null ? "" : sent.device();
    Optional<Known> device = jdbc.sql("select club_id, id from device where token_hash = :hash and revoked_at is null")
        .param("hash", Secrets.fingerprint(token)).query(Known.class).optional();
    return device.map(known -> club.within(known.clubId(), () -> transaction.execute(status -> take(known.id(), sent))));
  }

  private Taken take(long deviceId, SensorReps.Sent sent) {
    Device device = devices.findById(deviceId).orElseThrow(NotFound::new);
    turns.ofLifter(device.lifterId());
    SensorReps reps = SensorReps.of(sent, clock.now());
    Optional<DeviceSet> before = told.findByDeviceIdAndStartedAt(deviceId, reps.started());
    if (before.isPresent()) {
      return new Taken(reps.speeds().millimetres().size(), before.get().found());
    }
    device.sent(clock.now());
    devices.save(device);
    DeviceSet set = told.saveAndFlush(new DeviceSet(device, reps, clock.now()));
    Optional<LoggedSetRow> logged = sets.unmeasured(device.lifterId(), reps.started().minus(CLOCKS_DIFFER), clock.now(), LOOKED_AT).stream()
        .filter(row -> fits(row, reps.speeds())).findFirst();
    logged.ifPresent(row -> join(row, set));
    return new Taken(reps.speeds().millimetres().size(), logged.isPresent());
  }

  /** Finds what a device told of a set that was just written down, and was not measured otherwise. */
  @Transactional
  public void find(LoggedSetRow row) {
    Instant now = clock.now();
    if (row.state().speeds() == null && row.reps() > 0) {
      told.waiting(row.lifterId(), now.minus(SOON), now.plus(CLOCKS_DIFFER), LOOKED_AT).stream().filter(set -> fits(row, set.speeds()))
          .findFirst().ifPresent(set -> join(row, set));
    }
  }

  private static boolean fits(LoggedSetRow row, RepSpeeds speeds) {
    int count = speeds.millimetres().size();
    return count == row.reps() || row.triedFurther() && count == row.reps() + 1;
  }

  private void join(LoggedSetRow row, DeviceSet set) {
    row.measured(set.speeds(), SpeedSource.DEVICE);
    sets.saveAndFlush(row);
    set.of(row.id());
    told.save(set);
  }
}
