<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Catalogue;

use HandGarden\Content\CatalogueReader;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\Unit;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A measure is one entry of one file. */
final class MeasureReaderTest extends TestCase
{
    private const TOWELS = [
        'code' => 'towels_n',
        'label' => 'Towels folded',
        'group' => 'skill',
        'unit' => 'count',
        'range' => [0, 40],
        'how' => 'Small towels folded in four, in a minute.',
        'seconds' => 60,
        'short_lived' => true,
        'answers' => true,
        'settled_by' => [['if' => 'coins_kept_n>=3', 'is' => 2]],
    ];

    public function testAnEntryIsAllThatANewMeasureTakes(): void
    {
        $vocabulary = self::with(self::TOWELS)->vocabulary;
        $kind = $vocabulary->kinds->find('towels_n');

        self::assertNotNull($kind);
        self::assertTrue($kind->accepts(40));
        self::assertFalse($kind->accepts(41));
        self::assertSame('skill', $kind->group);
        self::assertContains('towels_n', $vocabulary->codes());
        self::assertSame('Towels folded', $vocabulary->label('towels_n'));
        self::assertSame(60, $vocabulary->secondsToTake('towels_n'));
        self::assertSame(Unit::Count, $vocabulary->unitOf('towels_n'));
        self::assertTrue($vocabulary->isSided('towels_n'));
        self::assertTrue($vocabulary->isTaken('towels_n'));
    }

    public function testAStrongerFactSettlesItWhileNobodyHasMeasured(): void
    {
        self::assertNull($this->known([])->value('towels_n', null, Side::Right));
        self::assertSame(
            2.0,
            $this->known(['coins_kept_n' => 4])->value('towels_n', null, Side::Right),
        );
        self::assertSame(
            7.0,
            $this->known(['coins_kept_n' => 4, 'towels_n' => 7])->value('towels_n', null, Side::Right),
            'what was measured itself comes first',
        );
    }

    public function testWhatChangesWithinDaysCountsForTwoWeeksOnly(): void
    {
        self::assertSame(7.0, $this->known(['towels_n' => 7], 14)->value('towels_n', null, Side::Right));
        self::assertNull($this->known(['towels_n' => 7], 15)->value('towels_n', null, Side::Right));
        self::assertSame(
            4.0,
            $this->known(['coins_kept_n' => 4], 28)->value('coins_kept_n', null, Side::Right),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'a range that ends before it begins' => [['range' => [40, 0]], 'range'];
        yield 'a unit nobody knows' => [['unit' => 'furlongs'], 'unit'];
        yield 'a key nobody asked for' => [['colour' => 'blue'], 'colour'];
        yield 'better in no known way' => [['better' => 'higher'], 'better'];
        yield 'settled by a fact that is none' => [['settled_by' => [['if' => 'charm>=2', 'is' => 1]]], 'charm'];
        yield 'no way of taking it' => [['how' => null], 'how'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('wrong')]
    public function testWhatIsWrongIsNamedWithItsPlace(array $change, string $named): void
    {
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessageMatches('/measures\.yaml.*'.$named.'/s');
        self::with($change + self::TOWELS);
    }

    public function testEveryMeasureStandsInAGroupOfTheFormOrIsRecorded(): void
    {
        $kinds = Cases::catalogue()->vocabulary->kinds;
        $groups = array_map(static fn ($group): string => $group->key, $kinds->groups);
        foreach ($kinds->all() as $kind) {
            self::assertContains($kind->group, [...$groups, 'recorded'], $kind->code);
        }
        foreach ($groups as $group) {
            self::assertNotSame(
                [],
                array_filter($kinds->all(), static fn ($kind): bool => $kind->group === $group),
                $group,
            );
        }
    }

    /** @param array<string, mixed> $entry */
    private static function with(array $entry): Catalogue
    {
        $files = CatalogueStore::parse(Cases::root().'/catalogue');
        \assert(\is_array($files['measures']) && \is_array($files['measures']['measures']));
        $files['measures']['measures'][] = $entry;

        return (new CatalogueReader())->read($files);
    }

    /** @param array<string, float|int> $values of the right hand, so many days ago */
    private function known(array $values, int $daysAgo = 1): KnownFacts
    {
        static $catalogue;
        $catalogue ??= self::with(self::TOWELS);
        \assert($catalogue instanceof Catalogue);
        $today = new \DateTimeImmutable('2026-11-20');
        $readings = [];
        foreach ($values as $code => $value) {
            $readings[] = new Reading(
                $code,
                Side::Right,
                null,
                null,
                value: (float) $value,
                on: $today->modify("-$daysAgo days"),
            );
        }
        $facts = Cases::example('tight-hand')->facts->withReadings(new Readings($readings));

        return new KnownFacts($facts, $catalogue->vocabulary, $today);
    }
}
