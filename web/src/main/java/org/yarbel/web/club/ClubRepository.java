package org.yarbel.web.club;

import org.springframework.data.jpa.repository.JpaRepository;

/** Clubs; found by the id of who is signed in only. */
public interface ClubRepository extends JpaRepository<Club, Long> {}
