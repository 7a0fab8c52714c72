package org.yarbel.web.watch;

import org.springframework.data.jpa.repository.JpaRepository;

/** The club's figures of the checks. */
interface ClubThresholdRepository extends JpaRepository<ClubThreshold, Long> {}
