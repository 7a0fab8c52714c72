package org.yarbel.web.edge;

import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Whether the disk with the records has room: {@code LITTLE} is told, and nothing is down for it. */
@Component
class RoomHealthIndicator implements HealthIndicator {
  private final DiskWatch disk;

  RoomHealthIndicator(DiskWatch disk) {
    this.disk = disk;
  }

  @Override
  public Health health() {
    return disk.words().isEmpty() ? Health.up().build() : Health.status("LITTLE").build();
  }
}
