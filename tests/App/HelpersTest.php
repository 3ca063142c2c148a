<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Week\PlannedDay;
use HandGarden\Core\Words\Phrase;
use HandGarden\Following\DueList;
use HandGarden\Home\HelperWords;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\GivenToday;
use HandGarden\Planning\HandsOn;
use HandGarden\Planning\InClass;
use HandGarden\Planning\Marks;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanWeek;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SignOff;
use HandGarden\Planning\TaughtWork;
use HandGarden\Sitting\Sitting;
use HandGarden\Tests\Core\Cases;
use Symfony\Component\Uid\Uuid;

/** Helpers: taught, signed for one hand and each exercise, locked again, and gone. */
final class HelpersTest extends AtHomeTestCase
{
    public function testOneNoIsPractisedAgainAndEveryYesIsSignedByBoth(): void
    {
        $sister = $this->sister();
        $work = $this->work();
        $points = $this->points($work);

        $missing = $this->teach($sister, $work, \array_slice($points, 1));
        self::assertSame(422, $missing, 'a point that nobody looked at is no yes');
        self::assertStringContainsString('What you did not see is a no.', $this->page());

        $first = array_key_first($points);
        self::assertSame(303, $this->teach($sister, $work, [$first => 'no'] + $points));
        self::assertSame([], $this->signed());
        $taught = $this->service(Marks::class)->taught($this->odalys)[0];
        self::assertFalse($taught->points[$first]);
        self::assertNotSame('', $taught->practise, 'what to practise is said even where nobody typed it');

        self::assertSame(422, $this->teach($sister, $work, $points, confirmed: false), 'both confirm');
        self::assertSame(303, $this->teach($sister, $work, $points));
        self::assertSame(array_keys($work->names), $this->signed());
        $this->browser->request('GET', $this->path('helpers'));
        self::assertStringContainsString('Refresh', $this->page());
    }

    public function testASignatureIsForOneHandAndTheExercisesThatWereTicked(): void
    {
        $sister = $this->sister();
        $work = $this->work();
        [$first] = array_keys($work->names);
        $this->teach($sister, $work, $this->points($work), for: [$first]);

        $setting = $this->setting();
        $one = RungOnSide::fromText($first);
        self::assertNotNull($one);
        self::assertTrue($setting->isSigned($one->rungId, $one->side));
        self::assertFalse($setting->isSigned($one->rungId, $one->side->opposite()), 'the other hand');
        foreach (array_diff($work->technique->ids, [$one->rungId]) as $other) {
            self::assertFalse($setting->isSigned($other, $one->side), $other);
        }
        $this->teach($sister, $work, $this->points($work), for: ['night-hand-splint|'.$one->side->value]);
        self::assertSame(
            [$first],
            $this->signed(),
            'what this technique does not teach is not signed with it',
        );
    }

    public function testOneExerciseOnOneHandIsEndedAndTheOthersStay(): void
    {
        $work = $this->work();
        $this->teach($this->sister(), $work, $this->points($work));
        $first = array_key_first($work->names);
        self::assertGreaterThan(1, \count($work->names));
        $end = fn (): mixed => $this->post(
            $this->path('helpers/'.$this->sister()->id),
            ['do' => 'end', 'rung' => $first],
        );
        $end();
        self::assertSame(array_values(array_diff(array_keys($work->names), [$first])), $this->signed());
        $end();
        $this->browser->followRedirect();
        self::assertStringContainsString('nothing was', $this->page(), 'there is nothing left to end');
        self::assertStringContainsString('value="end"', $this->page(), 'those that stay can be ended');
    }

    public function testItHoldsThroughDayNinetyAndIsAskedForBefore(): void
    {
        $this->teach($this->sister(), $this->work(), $this->points($this->work()));
        $today = new \DateTimeImmutable('today');
        $marks = $this->service(Marks::class);
        self::assertNotSame([], $marks->signed($this->odalys, $today->modify('+90 days')));
        self::assertSame([], $marks->signed($this->odalys, $today->modify('+91 days')));

        foreach (['+68 days' => false, '+69 days' => true, '+83 days' => true] as $later => $isDue) {
            $due = $this->service(DueList::class)->of($this->odalys, $today->modify($later), $today);
            $ids = array_map(static fn (Phrase $p): string => $p->code, $due);
            self::assertSame($isDue, \in_array('due.sign-off', $ids, true), $later);
        }
    }

    public function testWhoeverLeavesOpensNothingAndIsSignedForNothing(): void
    {
        $sister = $this->sister();
        $this->teach($sister, $this->work(), $this->points($this->work()));
        $this->agree(ConsentKind::HomeUse);
        $this->agree(ConsentKind::HelperSees);
        $this->letIn($sister);
        self::assertSame('Odalys', $this->day()['first']);

        $this->post($this->path('helpers/'.$sister->id), ['do' => 'leaves']);
        self::assertSame([], $this->signed());
        self::assertFalse($this->devices()[0]->isIn());
        self::assertArrayNotHasKey('day', $this->asked('', []));
        self::assertSame([], $this->service(Helpers::class)->of($this->odalys));
    }

    public function testSomebodyHurtOrNewTroubleEndsWhatWasSigned(): void
    {
        foreach (['hurt', 'trouble'] as $why) {
            $this->teach($this->sister(), $this->work(), $this->points($this->work()));
            self::assertNotSame([], $this->signed());
            $this->post($this->path('helpers/'.$this->sister()->id), ['do' => $why]);
            self::assertSame([], $this->signed(), $why);
        }
    }

    public function testWhatIsNewInTheArmEndsItAndWhatStandsAsItWasDoesNot(): void
    {
        $answer = fn (string $skin): mixed => $this->post(
            $this->path('screening'),
            ['skin_broken' => $skin, '_seen' => $this->seen('screening')],
        );
        $this->teach($this->sister(), $this->work(), $this->points($this->work()));
        $answer('no');
        self::assertNotSame([], $this->signed());
        $answer('yes');
        self::assertSame([], $this->signed(), 'a new sore');

        $this->teach($this->sister(), $this->work(), $this->points($this->work()));
        $answer('yes');
        self::assertNotSame([], $this->signed(), 'shown with it');
    }

    public function testHowAHelperGetsOnIsForThemAndTherapists(): void
    {
        $sister = $this->sister();
        $this->agree(ConsentKind::HomeUse);
        $this->agree(ConsentKind::HelperSees);
        $this->letIn($sister);
        self::assertTrue($this->day()['asksHelper']);
        $this->tell(['managing' => 'tiring', 'hurts' => true, 'where' => 'back']);
        self::assertFalse($this->day()['asksHelper'], 'asked again in two weeks');
        $words = $this->service(HelperWords::class);
        self::assertSame([], $words->toTalkWith($this->odalys), 'once is not twice');
        $this->tell(['managing' => 'well', 'hurts' => true, 'where' => 'back']);
        self::assertSame([$sister->id], $words->toTalkWith($this->odalys));
        $this->browser->request('GET', $this->path('home'));
        self::assertStringContainsString('How helping goes', $this->page());

        $this->post($this->path('home/helpers/'.$sister->id.'/talked'), []);
        $this->entities->clear();
        self::assertSame([], $words->toTalkWith($this->odalys));
        $this->signIn($this->staff($this->quayside(), Role::Assistant));
        $this->browser->request('GET', $this->path('home'));
        self::assertStringNotContainsString('How helping goes', $this->page());
        $this->letIn();
        self::assertFalse($this->day()['asksHelper'], 'not asked of the client');
        self::assertStringNotContainsString('tiring', $this->page());
    }

    public function testWhatUnsignedHandsDidIsKeptAndNoEvidenceUntilSomebodyLooked(): void
    {
        $this->nothingAlone();
        $sister = $this->sister();
        $works = $this->service(HandsOn::class)->of($this->fresh($this->odalys));
        foreach ($works as $work) {
            $this->teach($sister, $work, $this->points($work));
        }
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->letIn();
        $place = null;
        foreach ($this->rows() as $nth => $row) {
            $rung = ItemKey::fromText($row['key'])?->rungId;
            $performers = null === $rung ? [] : Cases::catalogue()->rung($rung)->fit->performers;
            $place ??= \in_array(Performer::Helper, $performers, true) ? (string) $nth : null;
        }
        self::assertNotNull($place);
        $handed = $this->handed();
        $this->post(
            $this->path('helpers/'.$sister->id),
            ['do' => 'hurt'],
        ); // the device does not know of it yet
        $this->send($handed, [
            $this->event('begun', null, ['with' => 'helper', 'helper' => $sister->id, 'list' => 'home']),
            $this->event('line', $place, ['outcome' => 'done']),
        ]);
        $sitting = $this->entities->find(Sitting::class, $handed['slot']['id']) ?? self::fail();
        self::assertNull($this->itemsOf($sitting)[(int) $place]->told, 'no evidence');

        $this->signIn($this->therapist());
        $this->browser->request('GET', '/sittings/'.$sitting->id.'/record');
        self::assertStringContainsString('done by hands that were not signed for it', $this->page());
        $this->post('/sittings/'.$sitting->id.'/looked', []);
        $this->entities->clear();
        self::assertSame('done', $this->itemsOf($sitting)[(int) $place]->told['outcome'] ?? null);
    }

    public function testAtHomeAnExerciseIsLockedForWhoeverWasNotShownIt(): void
    {
        $this->nothingAlone();
        $sister = $this->sister();
        foreach ($this->service(HandsOn::class)->of($this->fresh($this->odalys)) as $work) {
            $this->teach($sister, $work, $this->points($work));
        }
        $cousin = $this->sister('Cousin');
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->letIn();

        $helpers = array_column((array) $this->day()['helpers'], 'name', 'id');
        self::assertSame([$sister->id => 'Sister', $cousin->id => 'Cousin'], $helpers);
        foreach ($this->rows() as $row) {
            $isLocked = \in_array($cousin->id, $row['lockedFor'], true);
            self::assertTrue(
                !$isLocked || \in_array('nobody-there', $row['outBy'], true),
                $row['key'].': with somebody there who was shown nothing no less than with nobody',
            );
            self::assertNotContains($sister->id, $row['lockedFor'], $row['key']);
        }
        self::assertNotSame(
            [],
            array_filter(array_column($this->rows(), 'lockedFor')),
            'something asks for hands',
        );
    }

    /** Property: whoever is not signed for it does nothing by hand, on no path that hands out work. */
    public function testNoPathGivesHandsOnWorkToSomebodyWhoIsNotSigned(): void
    {
        $this->nothingAlone();
        $sister = $this->sister();
        $works = $this->service(HandsOn::class)->of($this->fresh($this->odalys));
        $seen = 0;
        foreach ([[], \array_slice($works, 0, 1), $works] as $nth => $signed) {
            foreach ($signed as $work) {
                $this->teach($sister, $work, $this->points($work));
            }
            $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
            $this->entities->clear();
            $client = $this->fresh($this->odalys);
            $this->service(Plan::class)->reset();
            $signed = $this->signed();
            $given = $this->service(GivenToday::class)->for($client, RoutineKind::Home)->items;
            foreach ([...$given, ...$this->ofTheWeek($client)] as $item) {
                self::assertTrue($this->mayStand($item, $signed), $nth.' '.$item->key());
                $seen += $this->isHandsOn($item) ? 1 : 0;
            }
            $door = $this->service(Briefs::class)->doorWith($client, RoutineKind::Home, []);
            foreach ($given as $item) {
                if ($this->isHandsOn($item)) {
                    self::assertNotNull($door->stops($item), 'with nobody signed '.$item->key());
                }
            }
        }
        self::assertGreaterThan(0, $seen, 'what is signed does come in');
    }

    /** The same by a therapist's hand: at home whoever is there was not shown it. */
    public function testNothingByHandIsAddedForWhoeverIsNotSigned(): void
    {
        $this->nothingAlone();
        $this->sister();
        $tried = 0;
        foreach (Cases::catalogue()->rungs() as $rung) {
            $item = new Item($rung, Hands::Right, $rung->dosing->start, Phrase::own(''));
            if ($this->isHandsOn($item) && 0 === $tried++ % 3) {
                $this->post($this->path('routine'), [
                    'do' => 'add',
                    'rung' => $rung->id,
                    'hands' => 'right',
                    'note' => 'I want it',
                    'because' => 'I want it',
                ]);
            }
        }
        $this->entities->clear();
        $this->service(Plan::class)->reset();
        $given = $this->service(GivenToday::class)->for(
            $this->fresh($this->odalys),
            RoutineKind::Home,
        )->items;

        self::assertGreaterThan(6, $tried);
        self::assertSame([], array_filter($given, $this->isHandsOn(...)));
    }

    /** And in a class, where nobody's hands are free, whoever is signed. */
    public function testNoClassAsksForHandsWhoeverIsSigned(): void
    {
        foreach ([false, true] as $isSigned) {
            foreach ($isSigned ? $this->service(HandsOn::class)->of(
                $this->fresh($this->odalys),
            ) : [] as $work) {
                $this->teach($this->sister(), $work, $this->points($work));
            }
            $this->entities->clear();
            $this->service(Plan::class)->reset();
            $client = $this->fresh($this->odalys);
            $door = $this->service(InClass::class)->door($client);
            $cards = $this->service(InClass::class)->cards($client);
            $seen = 0;
            foreach (Cases::catalogue()->rungs() as $rung) {
                [$one] = $cards->of([$rung]);
                if (null !== $one->item) {
                    self::assertNull($door->stops($one->item), $rung->id);
                    self::assertNotSame(
                        [],
                        array_udiff(
                            $one->item->rung->fit->performers,
                            [Performer::Helper, Performer::TrainedTherapist],
                            static fn (Performer $a, Performer $b): int => $a->value <=> $b->value,
                        ),
                        $rung->id,
                    );
                    ++$seen;
                }
            }
            self::assertGreaterThan(3, $seen);
        }
    }

    /** @return list<Item> */
    private function ofTheWeek(Client $client): array
    {
        $week = $this->service(PlanWeek::class);
        $days = $week->for($client, $week->monday($client, ''))->days;

        return array_merge(...array_map(static fn (PlannedDay $d): array => $d->items, $days));
    }

    /** @param array<string, mixed> $body */
    private function tell(array $body): void
    {
        $now = (new \DateTimeImmutable())->format(\DATE_RFC3339);
        $this->home('/home/told', ['sent_at' => $now, 'told' => [
            ['id' => Uuid::v7()->toRfc4122(), 'kind' => 'helper', 'at' => $now, 'body' => $body],
        ]]);
        $this->entities->clear();
    }

    private function seen(string $page): string
    {
        $form = $this->browser->request('GET', $this->path($page))->filter('input[name="_seen"]');

        return (string) $form->attr('value');
    }

    /** @param list<string> $signed */
    private function mayStand(Item $item, array $signed): bool
    {
        if (!$this->isHandsOn($item)) {
            return true;
        }
        $affected = $this->odalys->affected(); // nobody has to be shown how to hold a hand that is well
        $keys = [];
        foreach (RungOnSide::forHands($item->rung->id, $item->hands) as $one) {
            if (\in_array($one->side, $affected, true)) {
                $keys[] = $one->text();
            }
        }

        return [] === array_diff($keys, $signed);
    }

    private function isHandsOn(Item $item): bool
    {
        return !$item->isPause && \in_array(Performer::Helper, $item->rung->fit->performers, true)
            && !\in_array(Performer::HelperPrompts, $item->rung->fit->performers, true);
    }

    /** She can do nothing by herself any more. */
    private function nothingAlone(): void
    {
        $client = $this->fresh($this->odalys);
        $client->setConditions([...$client->conditions(), Condition::AdvancedDementia]);
        $this->entities->flush();
    }

    /** @return list<array{key: string, outBy: list<string>, lockedFor: list<string>}> */
    private function rows(): array
    {
        /**
         * @var array<
         *     string,
         *     array{items: list<array{key: string, outBy: list<string>, lockedFor: list<string>}>},
         * > $of
         */
        $of = $this->plan()['sheet']['lists'];

        return $of['home']['items'];
    }

    /** The technique that most of her exercises ask for. */
    private function work(): TaughtWork
    {
        $works = $this->service(HandsOn::class)->of($this->fresh($this->odalys));
        usort(
            $works,
            static fn (TaughtWork $a, TaughtWork $b): int => \count($b->names) <=> \count($a->names),
        );

        return $works[0] ?? self::fail('nothing asks for a helper');
    }

    /** @return array<string, string> every point a yes */
    private function points(TaughtWork $work): array
    {
        $techniques = Cases::catalogue()->handbook()->techniques;

        return array_fill_keys(array_keys($techniques->points($work->technique)), 'yes');
    }

    /**
     * @param array<string, string> $points
     * @param ?list<string>         $for    null: all
     */
    private function teach(
        Helper $helper,
        TaughtWork $work,
        array $points,
        ?array $for = null,
        bool $confirmed = true,
    ): int {
        $this->post(
            $this->path(
                \sprintf('helpers/%s/%s/%s', $helper->id, $work->technique->key, $work->side->value),
            ),
            [
                'points' => $points,
                'for' => $for ?? array_keys($work->names),
            ] + ($confirmed ? ['by_helper' => '1', 'by_therapist' => '1'] : []),
        );
        $this->service(Plan::class)->reset();

        return $this->browser->getResponse()->getStatusCode();
    }

    /** @return list<string> `rung|side` */
    private function signed(): array
    {
        $this->entities->clear();

        return array_map(
            static fn (SignOff $s): string => $s->key(),
            $this->service(Marks::class)->signed($this->odalys, new \DateTimeImmutable('today')),
        );
    }

    private function setting(): \HandGarden\Core\Placement\Setting
    {
        $this->entities->clear();
        $this->service(Plan::class)->reset();

        return $this->service(Plan::class)->facts($this->fresh($this->odalys))->setting;
    }

    private function path(string $page): string
    {
        return '/clients/'.$this->odalys->id.'/'.$page;
    }
}
