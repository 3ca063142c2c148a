<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Report;

use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Progress\PainCourse;
use HandGarden\Core\Report\Fact;
use HandGarden\Core\Report\Incident;
use HandGarden\Core\Report\Measured;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Core\Report\Sentence;
use HandGarden\Core\Words\Phrase;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Whatever a time held: what was lost, what hurt and what was left out stands in each of its reports. */
final class OwedTest extends TestCase
{
    private const KEYS = [
        'opening||active|right',
        'wrist_extension||active|left',
        'total_index||active|right',
        'tone_finger|||right',
        'grip_kg|||left',
        'index_mcp_flexion||active|right',
    ];

    public function testWhatIsOwedStandsInEveryReport(): void
    {
        $random = new Randomizer(new Mt19937(14));
        for ($n = 0; $n < 200; ++$n) {
            $measures = $this->measures($random);
            $incidents = $this->incidents($random);
            $gaps = 0 === $n % 2 ? [] : [MadeUpMaterial::gap(0 === $n % 3)];
            $material = MadeUpMaterial::of($measures, $incidents, $gaps);
            foreach (ReportKind::cases() as $kind) {
                $owed = array_merge(...[[]], ...array_map(
                    static fn (Sentence $s): array => $s->isOwed ? $s->facts : [],
                    MadeUpMaterial::all($kind, $material),
                ));
                $texts = array_map(static fn (Fact $f): string => $f->text(), $owed);
                foreach ($incidents as $incident) {
                    self::assertContains($incident->fact()->text(), $texts, $kind->value);
                }
                foreach ([] === $gaps ? [] : $gaps[0]->facts() as $fact) {
                    self::assertContains($fact->text(), $texts, $kind->value);
                }
                foreach ($measures as $measured) {
                    if (Judgement::Loss === $measured->judgement) {
                        self::assertContains($measured->facts()[1]->text(), $texts, $kind->value);
                    }
                }
            }
        }
    }

    public function testPainThatRisesIsSaidInEveryReport(): void
    {
        $course = static fn (int $last): ?PainCourse => PainCourse::of(
            [1, 1, 2, 1, 1, $last, $last, $last, $last, $last],
        );
        foreach (ReportKind::cases() as $kind) {
            $owed = static fn (int $last): bool => [] !== array_filter(
                MadeUpMaterial::all($kind, MadeUpMaterial::painful($course($last))),
                static fn (Sentence $s): bool => $s->isOwed && str_contains($s->words->code, 'pain'),
            );
            self::assertTrue($owed(3), $kind->value);
            self::assertFalse($owed(2), $kind->value);
        }
        self::assertNull(PainCourse::of([1, 1, 1, 1, 9, 9, 9, 9, 9]), 'too few days for a first and a last');
    }

    public function testEverySentenceRestsOnSomething(): void
    {
        $random = new Randomizer(new Mt19937(15));
        for ($n = 0; $n < 50; ++$n) {
            $material = MadeUpMaterial::of($this->measures($random), $this->incidents($random));
            foreach (ReportKind::cases() as $kind) {
                foreach (MadeUpMaterial::all($kind, $material) as $sentence) {
                    self::assertGreaterThan(0, \count($sentence->facts), $sentence->words->code);
                    self::assertNotSame('', $sentence->facts[0]->id, $sentence->words->code);
                }
            }
        }
    }

    /** @return list<Measured> */
    private function measures(Randomizer $random): array
    {
        $measures = [];
        foreach (self::KEYS as $key) {
            $judgement = Judgement::cases()[$random->getInt(0, \count(Judgement::cases()) - 1)];
            $measures[] = MadeUpMaterial::measured($judgement, 1 === $random->getInt(0, 1), $key);
        }

        return $measures;
    }

    /** @return list<Incident> */
    private function incidents(Randomizer $random): array
    {
        $incidents = [];
        for ($n = $random->getInt(0, 3); $n > 0; --$n) {
            $incidents[] = new Incident(
                'alert-'.$n,
                Phrase::own('Pain of 8.'),
                MadeUpMaterial::day('2026-11-0'.$n),
                answeredOn: null,
            );
        }

        return $incidents;
    }
}
