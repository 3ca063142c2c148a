<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\GroupWork;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\GroupWork\ClassDoor;
use HandGarden\Core\GroupWork\PlaceCards;
use HandGarden\Core\GroupWork\PlaceItem;
use HandGarden\Core\GroupWork\Version;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Performers;
use HandGarden\Core\Progress\Given;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Routine\StillPrepared;
use HandGarden\Core\Screening\Answer;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use PHPUnit\Framework\TestCase;

/** Every place of a class has a card of its own, by the one door and the hard rules of a sitting. */
final class PlaceCardsTest extends TestCase
{
    private const CLIENTS = 40;
    private const CLASS_OF_ALL = [
        'dry-wash-warm-up',
        'textured-ball-hand-roll',
        'thumb-raise-to-face',
        'thumb-sweep-across',
        'numbered-touch-run',
        'wide-arm-pull-back',
        'five-count-squeeze',
        'shake-loose-pause',
        'finger-lengthening-massage',
    ];

    public function testWhateverStandsOnACardMayBeGivenThereWithoutAnybodysHands(): void
    {
        $seen = array_fill_keys(array_map(static fn (Version $v): string => $v->value, Version::cases()), 0);
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            foreach ([true, false] as $isBeside) {
                $facts = self::inClass($client->facts(), $isBeside);
                $door = $this->door($client, $facts);
                foreach ($this->cards($client, $facts)->of($this->rungs()) as $nth => $one) {
                    ++$seen[$one->version->value];
                    if (null === $one->item) {
                        self::assertNotNull($one->why, 'a rest says why');
                        continue;
                    }
                    self::assertNull($door->stops($one->item), $one->item->rung->id);
                    self::assertSame(
                        Version::Same === $one->version,
                        $one->item->rung->id === self::CLASS_OF_ALL[$nth],
                    );
                    self::assertNotSame(
                        [],
                        array_diff(
                            array_map(
                                static fn (Performer $p): string => $p->value,
                                $one->item->rung->fit->performers,
                            ),
                            [Performer::Helper->value, Performer::TrainedTherapist->value],
                        ),
                        $one->item->rung->id,
                    );
                }
            }
        }
        foreach ($seen as $version => $times) {
            self::assertGreaterThan(20, $times, $version);
        }
    }

    public function testACardKeepsTheHardRulesOfASitting(): void
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = self::inClass($client->facts(), false);
            $items = self::items($this->cards($client, $facts)->of($this->rungs()));
            foreach ($this->rules($client, $facts)->broken($items) as $broken) {
                self::assertContains($broken->code, ['no-warm-up', 'no-cool-down'], "client $seed");
            }
            $keys = array_map(static fn (Item $i): string => $i->key(), $items);
            self::assertSame($keys, array_values(array_unique($keys)), 'nothing stands on a card twice');
        }
    }

    public function testWhoseShoulderIsBarredHasAnotherVersionAndTheWallIsAsItWas(): void
    {
        $class = array_map(
            static fn (string $id): Rung => Cases::catalogue()->rung($id),
            [
                'paired-wrist-circles',
                'textured-ball-hand-roll',
                'wrist-ease-back',
                'bent-elbow-wrist-lift',
                'cup-ring-chain',
                'shake-loose-pause',
            ],
        );
        $versions = ['same' => 0, 'other' => 0, 'rest' => 0];
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = self::inClass($client->facts(answers: ['shoulder' => Answer::Yes]), true);
            $free = $this->cards($client, self::inClass($client->facts(), true))->of($class);
            $barred = $this->cards($client, $facts)->of($class);
            foreach ($free as $nth => $one) {
                $item = $one->item;
                if (null !== $item && null !== $this->door($client, $facts)->stops($item)) {
                    self::assertNotSame($item->rung->id, $barred[$nth]->item?->rung->id, "client $seed");
                    self::assertNotNull($barred[$nth]->why);
                    ++$versions[$barred[$nth]->version->value];
                }
            }
        }
        self::assertGreaterThan(0, $versions['other'], 'another version where there is one');
        self::assertGreaterThan(0, $versions['rest'], 'and else rest');
    }

    public function testAtAPlaceWhereItHurtsOnlyCalmThingsStay(): void
    {
        $client = new RandomClient(3, wellKnown: true);
        $facts = self::inClass($client->facts(), false);
        foreach (self::items($this->cards($client, $facts)->of($this->rungs(), onlyCalm: true)) as $item) {
            self::assertTrue($item->rung->load->class->isRestful(), $item->rung->id);
        }
    }

    public function testASymptomNeverBringsMoreOntoACard(): void
    {
        for ($seed = 0; $seed < self::CLIENTS; ++$seed) {
            $client = new RandomClient($seed, wellKnown: true);
            $facts = self::inClass($client->facts(), false);
            $rung = $this->rungs()[$seed % \count(self::CLASS_OF_ALL)];
            $resting = new ClientFacts(
                $facts->people,
                $facts->setting,
                $facts->measured,
                new Decided(suspended: [
                    $rung->id.'|'.(ClassDoor::hands($rung, $client->side) ?? Hands::Together)->value,
                ]),
            );
            foreach ($this->cards($client, $resting)->of($this->rungs()) as $one) {
                self::assertNotSame($rung->id, $one->item?->rung->id, "client $seed");
            }
        }
    }

    public function testNothingThatAsksForHandsIsLedInAClass(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            $byHandsAlone = [] === array_filter(
                $rung->fit->performers,
                static fn (Performer $p): bool => !\in_array(
                    $p,
                    [Performer::Helper, Performer::TrainedTherapist],
                    true,
                ),
            );
            if ($byHandsAlone) {
                self::assertFalse(ClassDoor::isForClasses($rung), $rung->id);
            }
        }
    }

    /** @return list<Rung> */
    private function rungs(): array
    {
        return array_map(static fn (string $id): Rung => Cases::catalogue()->rung($id), self::CLASS_OF_ALL);
    }

    private static function inClass(ClientFacts $facts, bool $isBeside): ClientFacts
    {
        return $facts->withSetting($facts->setting->inClass($isBeside));
    }

    private function cards(RandomClient $client, ClientFacts $facts): PlaceCards
    {
        $rules = $this->rules($client, $facts);
        $door = $this->door($client, $facts);

        return new PlaceCards(
            Cases::catalogue(),
            $door,
            new Given([], 20, 45 * 60, $door->door, prepared: new StillPrepared($rules)),
            $rules,
            worse: $client->side,
            doseOf: static fn (Rung $rung, Hands $hands): Dose => $rung->dosing->start,
        );
    }

    private function door(RandomClient $client, ClientFacts $facts): ClassDoor
    {
        $known = new KnownFacts($facts, Cases::catalogue()->vocabulary, $client->today);

        return new ClassDoor(
            new Door(Cases::catalogue(), $facts, $known, $client->today),
            new Performers($facts, $known),
        );
    }

    private function rules(RandomClient $client, ClientFacts $facts): SittingRules
    {
        return (new Builder(Cases::catalogue()))->rulesFor($facts, new Limits(45), $client->today);
    }

    /**
     * @param list<PlaceItem> $card
     *
     * @return list<Item>
     */
    private static function items(array $card): array
    {
        return array_values(array_filter(
            array_map(static fn (PlaceItem $i): ?Item => $i->item, $card),
            static fn (?Item $i): bool => null !== $i,
        ));
    }
}
