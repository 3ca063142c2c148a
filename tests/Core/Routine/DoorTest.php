<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\Injection;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Edits;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Kept;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\NothingFits;
use HandGarden\Core\Routine\Refusal;
use HandGarden\Core\Routine\Routine;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

/** Whatever brings an exercise in asks at one door. */
final class DoorTest extends TestCase
{
    private const CLIENTS = 40;

    public function testNothingThatASuggestionHoldsIsStoppedAtTheDoor(): void
    {
        $seen = 0;
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = $client->facts();
            $routine = $this->routine($client, $facts);
            if (null === $routine) {
                continue;
            }
            foreach ($routine->sequence->items as $item) {
                if (!$item->isPause) {
                    self::assertNull(
                        $this->door($client, $facts)->stops($item),
                        $item->rung->id,
                    );
                    ++$seen;
                }
            }
        }

        self::assertGreaterThan(100, $seen);
    }

    public function testACrampIsSmoothedOutOnlyByHandsThatMay(): void
    {
        $lets = static function (array $client, ?Setting $setting = null): bool {
            /** @var array<string, mixed> $written */
            $written = json_decode(
                (string) file_get_contents(Cases::root().'/docs/examples/tight-hand.json'),
                true,
                64,
                \JSON_THROW_ON_ERROR,
            );
            \assert(\is_array($written['client']));
            $written['client'] = $client + $written['client'];
            $case = Cases::read(json_encode($written, \JSON_THROW_ON_ERROR));
            $facts = null === $setting ? $case->facts : $case->facts->withSetting($setting);
            $known = new KnownFacts($facts, Cases::catalogue()->vocabulary, $case->today);

            return (new Door(Cases::catalogue(), $facts, $known, $case->today))->letsSmooth(Side::Right);
        };
        $both = ['affected' => ['right', 'left'], 'unaffected' => []];

        self::assertTrue($lets([]), 'the other hand is well');
        self::assertFalse($lets($both), 'nobody has seen that the other hand can');
        self::assertFalse(
            $lets($both, new Setting(helperHere: true)),
            'somebody is there who was not shown it',
        );
        self::assertTrue($lets($both, new Setting(true, ['flatten-after-cramp|right'])));
        self::assertFalse(
            $lets($both, new Setting(true, ['flatten-after-cramp|left'])),
            'the other hand was shown',
        );
    }

    public function testWhatIsPinnedByHandIsHeldToTheSameDoor(): void
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = $client->facts();
            $door = $this->door($client, $facts);
            foreach (['rocker-cut-food', 'pocket-coin-pick', 'palm-flattening-band'] as $id) {
                $rung = Cases::catalogue()->rung($id);
                $hands = Hands::fromSide($client->side);
                $pinned = new Item(
                    $rung,
                    $hands,
                    $rung->dosing->start,
                    Phrase::own(''),
                    kept: new Kept('I want it'),
                );
                if (null === $door->stops($pinned)) {
                    continue;
                }
                $brief = $client->brief(
                    $facts,
                    Goals::chosen(Cases::catalogue()->goals, []),
                    new Limits(20),
                )->withEdits(
                    new Edits([$pinned]),
                );
                try {
                    $items = (new Builder(Cases::catalogue()))->build($brief)->sequence->items;
                } catch (NothingFits) {
                    continue;
                }
                $ids = array_map(static fn (Item $i): string => $i->rung->id, $items);
                self::assertNotContains($id, $ids, "client $seed");
            }
        }
    }

    public function testANoteSetsAsideWhatItMayForFourteenDays(): void
    {
        $client = $this->client('curls', true);
        $facts = $client->facts();
        $rung = Cases::catalogue()->rung('five-count-squeeze');
        $door = $this->door($client, $facts);
        $item = static fn (?string $on): Item => new Item(
            $rung,
            Hands::fromSide($client->side),
            $rung->dosing->start,
            Phrase::own(''),
            kept: new Kept(
                'trial',
                openedOn: null === $on ? null : new \DateTimeImmutable($client->today->format('Y-m-d').$on),
            ),
        );
        $closed = array_filter(
            $door->refusals($rung, Hands::fromSide($client->side)),
            static fn (Refusal $r): bool => !$r->isByNote,
        );

        self::assertSame([], $closed);
        self::assertNotNull($door->stops($item(null)));
        self::assertNull($door->stops($item(' -14 days')));
        self::assertNotNull($door->stops($item(' -15 days')));
    }

    public function testScreeningRestsAndBarsAreNeverSetAside(): void
    {
        $rung = Cases::catalogue()->rung('helped-lift-hold');
        $client = $this->client('painful', true, 'wrist');
        $hands = Hands::fromSide($client->side);
        $isClosed = fn (ClientFacts $facts): bool => [] !== array_filter(
            $this->door($client, $facts)->refusals($rung, $hands),
            static fn (Refusal $r): bool => !$r->isByNote,
        );
        $free = new RandomClient(3, wellKnown: true);
        $facts = $free->facts();
        $resting = new ClientFacts(
            $facts->people,
            $facts->setting,
            $facts->measured,
            new Decided(suspended: [$rung->id.'|'.$free->side->value]),
        );
        $part = new ClientFacts(
            $facts->people,
            $facts->setting,
            $facts->measured,
            new Decided(suspended: ['part:wrist|'.$free->side->value]),
        );

        self::assertTrue($isClosed($client->facts()), 'it loads a painful wrist');
        foreach ([$resting, $part, $free->facts(answers: ['new_stroke_signs' => Answer::Yes])] as $barred) {
            self::assertNotNull($this->door($free, $barred)->stops(new Item(
                $rung,
                Hands::fromSide($free->side),
                $rung->dosing->start,
                Phrase::own(''),
                kept: new Kept('I know better', openedOn: $free->today),
            )));
        }
    }

    public function testHardAndLoadedWorkIsShownBesideATherapistFirst(): void
    {
        $waiting = 0;
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = $client->facts()->withShown([]);
            $routine = $this->routine($client, $facts);
            if (null === $routine) {
                continue;
            }
            foreach ($routine->sequence->items as $item) {
                self::assertTrue(
                    $item->isPause || !$item->rung->isShownFirst(),
                    $item->rung->id,
                );
            }
            foreach ($routine->leftOut as $left) {
                $waiting += 'left_out.show_first' === $left->reason->code ? 1 : 0;
            }
            $beside = $facts->withSetting(new Setting(supervised: true, atHome: false));
            $rung = Cases::catalogue()->rung('pressed-lift-hold');
            foreach ($this->door($client, $beside)->refusals(
                $rung,
                Hands::fromSide($client->side),
            ) as $refusal) {
                self::assertFalse($refusal->isToShow, 'a therapist is beside');
            }
        }

        self::assertGreaterThan(10, $waiting, 'it is said what waits to be shown');
    }

    public function testAnInjectedMuscleIsNotStrengthenedForTwelveWeeks(): void
    {
        $rung = Cases::catalogue()->rung('five-count-squeeze');
        $says = fn (string $ago, Rung $rung): bool => $this->speaksAgainst($ago, $rung);

        self::assertTrue($says('-2 days', $rung));
        self::assertTrue($says('-84 days', $rung));
        self::assertFalse($says('-85 days', $rung), 'it is over');
        self::assertFalse(
            $says('-20 days', Cases::catalogue()->rung('band-wrap-challenge')),
            'the other side of it',
        );
        self::assertFalse(
            $says('-20 days', Cases::catalogue()->rung('close-and-open')),
            'no strength work',
        );
    }

    private function speaksAgainst(string $ago, Rung $rung): bool
    {
        $client = new RandomClient(5, wellKnown: true);
        $facts = $client->facts();
        $injection = new Injection($client->today->modify($ago), [$client->side]);
        $injected = new ClientFacts($facts->people, $facts->setting, new Measured(
            $facts->measured->readings,
            $facts->measured->screening,
            $injection,
        ), $facts->decided);
        foreach ($this->door($client, $injected)->refusals(
            $rung,
            Hands::fromSide($client->side),
        ) as $refusal) {
            if (str_contains(Said::of($refusal->why), 'made weak')) {
                return $refusal->isByNote;
            }
        }

        return false;
    }

    private function client(string $code, bool $value, ?string $part = null): RandomClient
    {
        $client = new RandomClient(3, wellKnown: true);
        $client->readings[] = new Reading(
            $code,
            $client->side,
            null,
            $part,
            value: $value,
            on: $client->today,
        );

        return $client;
    }

    /** Null: nothing fits. */
    private function routine(RandomClient $client, ClientFacts $facts): ?Routine
    {
        $goals = Goals::chosen(Cases::catalogue()->goals, []);
        try {
            return (new Builder(Cases::catalogue()))->build($client->brief($facts, $goals, new Limits(20)));
        } catch (NothingFits) {
            return null;
        }
    }

    private function door(RandomClient $client, ClientFacts $facts): Door
    {
        $catalogue = Cases::catalogue();

        return new Door(
            $catalogue,
            $facts,
            new KnownFacts($facts, $catalogue->vocabulary, $client->today),
            $client->today,
        );
    }
}
