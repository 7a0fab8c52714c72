package org.yarbel.web.demo;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.log.NormalGear;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.web.account.Accounts;
import org.yarbel.web.lifter.Complaint;
import org.yarbel.web.lifter.ComplaintRepository;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.lifter.WeighIn;
import org.yarbel.web.lifter.WeighInRepository;
import org.yarbel.web.program.DeloadWeek;
import org.yarbel.web.program.DeloadWeekRepository;
import org.yarbel.web.program.Progression;
import org.yarbel.web.program.ProgressionRepository;
import org.yarbel.web.who.Role;

/** Takes on the lifters of the demo: who they are, their numbers, methods and easy weeks. */
@Service
class DemoPeople {
  private final LifterRepository lifters;
  private final Accounts accounts;
  private final LiftNumbersRepository numbers;
  private final WeighInRepository weighIns;
  private final ComplaintRepository complaints;
  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;

  DemoPeople(LifterRepository lifters, Accounts accounts, LiftNumbersRepository numbers, WeighInRepository weighIns,
      ComplaintRepository complaints, ProgressionRepository progressions, DeloadWeekRepository deloads) {
    this.lifters = lifters;
    this.accounts = accounts;
    this.numbers = numbers;
    this.weighIns = weighIns;
    this.complaints = complaints;
    this.progressions = progressions;
    this.deloads = deloads;
  }

  void takeOn(DemoLifter one, long clubId) {
    DemoProgram program = one.program();
    DemoLife life = DemoLife.of(program);
    Lifter lifter = one.lifter();
    lifter.body(program.sex(), program.born(), life.heightMm(), program.note());
    lifter.life(one.today().minusMonths(life.monthsTraining()), life.workLoad(), life.diet(), life.free());
    lifter.likes(new NormalGear(life.gear(), List.of()), life.ramp(), false);
    lifters.saveAndFlush(lifter);
    body(one, life);
    accounts.add(clubId, program.email() + DemoClub.DOMAIN, DemoClub.PASSWORD, program.name(), Role.LIFTER, lifter.id());
    program.numbers().forEach(given -> numbers(one, given));
    program.methods().forEach(uses -> method(one, uses));
    DemoContests.Journey journey = DemoContests.journey(program.email());
    program.easyWeeksAgo().stream().filter(ago -> journey == null || ago > journey.since())
        .forEach(ago -> deloads.saveAndFlush(new DeloadWeek(lifter.id(), one.monday().minusWeeks(ago), Deload.HALF_LOAD)));
  }

  /** A second coach with lifters of her own, an assistant; the first coach has the rest and looks at everybody's. */
  void staff(long clubId, List<Lifter> hers) {
    long first = accounts.coaches(clubId).get(0).id();
    long second = accounts.add(clubId, "hedda" + DemoClub.DOMAIN, DemoClub.PASSWORD, "Hedda Quillfeather", Role.COACH, null);
    accounts.add(clubId, "anselm" + DemoClub.DOMAIN, DemoClub.PASSWORD, "Anselm Dray", Role.ASSISTANT, null);
    lifters.findAll().forEach(lifter -> {
      lifter.ofCoach(hers.stream().anyMatch(one -> one.id() == lifter.id()) ? second : first);
      lifters.save(lifter);
    });
    lifters.flush();
    accounts.of(clubId, first).ifPresent(coach -> accounts.look(coach, true));
  }

  private void body(DemoLifter one, DemoLife life) {
    DemoProgram program = one.program();
    Mass now = one.mass(program.bodyMass());
    for (int week = program.weeksBack(); week >= 0; week--) {
      double off = week == 0 ? 0 : -life.drift() * week + 0.3 * one.random().nextGaussian();
      Mass then = Mass.ofRoundedNanograms(now.nanograms() + Math.rint(off * 10) / 10 * program.unit().nanograms(), program.unit());
      weighIns.save(new WeighIn(one.lifter().id(), one.monday().minusWeeks(week), then));
    }
    life.pains().forEach(pain -> complaints.save(
        new Complaint(one.lifter().id(), pain.place(), one.today().minusWeeks(pain.weeksAgo()), pain.score(), pain.aggravates())));
  }

  private void numbers(DemoLifter one, DemoProgram.DemoNumbers given) {
    LiftNumbers own = new LiftNumbers(one.lifter().id(), given.lift());
    own.decide(given.level(), given.basis());
    if (!given.tested().isEmpty()) {
      own.test(one.mass(given.tested()), one.today().minusWeeks(given.testedWeeksAgo()));
    }
    if (!given.goal().isEmpty()) {
      own.aim(one.mass(given.goal()), one.monday().plusWeeks(given.goalInWeeks()).plusDays(5));
    }
    one.known().put(given.lift(), own);
    numbers.save(own);
    one.can(given.lift(), given.truth(), given.gainPerWeek());
  }

  private void method(DemoLifter one, DemoProgram.Uses uses) {
    Progression progression = new Progression(one.lifter().id(), uses.lift(), uses.method());
    Map<String, String> settings = new HashMap<>(uses.settings());
    LiftNumbers own = one.known().get(uses.lift());
    if (own != null && own.tested() != null) {
      settings.put(Progression.START_MAX, own.tested().amountIn(one.program().unit(), 1).toPlainString());
      if (uses.method() == Method.PLUS_SETS) {
        settings.put("training", MaxNumbers.trainingFrom(own.tested()).amountIn(one.program().unit(), 1).toPlainString());
      }
    }
    progression.set(settings, one.monday().minusWeeks(uses.since()), uses.days(), Turn.EVERY);
    progression.end(uses.until() == 0 ? null : one.monday().minusWeeks(uses.until()));
    progressions.saveAndFlush(progression);
  }

  /** The numbers as they stand after what was looked through was forgotten. */
  void again(DemoLifter one) {
    one.known().replaceAll((lift, own) -> numbers.findByLifterIdAndLift(one.lifter().id(), lift).orElseThrow());
  }
}
