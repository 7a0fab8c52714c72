package org.yarbel.web.device;

import jakarta.persistence.Entity;
import java.time.Instant;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.log.RepSpeeds;
import org.yarbel.web.club.ClubRow;

/** The reps of one set as a device told them, and the logged set they were found to be of. */
@Entity
public class DeviceSet extends ClubRow {
  private long lifterId;
  private long deviceId;
  private Instant startedAt = Instant.EPOCH;
  private Instant endedAt = Instant.EPOCH;
  private int[] speeds = {};
  private @Nullable Long setId;
  private Instant receivedAt = Instant.EPOCH;

  protected DeviceSet() {}

  DeviceSet(Device device, SensorReps told, Instant at) {
    this.lifterId = device.lifterId();
    this.deviceId = device.id();
    this.startedAt = told.started();
    this.endedAt = told.ended();
    this.speeds = told.speeds().millimetres().stream().mapToInt(Integer::intValue).toArray();
    this.receivedAt = at;
  }

  Instant startedAt() {
    return startedAt;
  }

  Instant endedAt() {
    return endedAt;
  }

  RepSpeeds speeds() {
    return new RepSpeeds(Arrays.stream(speeds).boxed().toList());
  }

  boolean found() {
    return setId != null;
  }

  void of(long set) {
    this.setId = set;
  }
}
