<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Assessment\ReadingRepository;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;

final class MeasureTest extends OdalysTestCase
{
    public function testKeepsReadingsOfBothHandsAndPlacesAgain(): void
    {
        $this->post(
            $this->path(),
            [
                'm' => [
                    'wrist_ext_hold_s:right:-:-' => '6',
                    'wrist_extension:left:active:-' => '65',
                    'tone_finger:right:-:-' => '1+',
                    'index_pip_extension:right:active:-' => 'u',
                ],
                'note' => 'Holds six.',
            ],
        );

        self::assertResponseRedirects('/clients/'.$this->odalys->id.'/placement');
        $readings = $this->service(ReadingRepository::class)->for($this->odalys);
        self::assertSame(6.0, $readings->newest('wrist_ext_hold_s', Side::Right)?->value);
        self::assertSame(1.5, $readings->newest('tone_finger', Side::Right)?->value);
        self::assertNotNull($readings->newest('index_pip_extension', Side::Right, Mode::Active));
        self::assertNull(
            $readings->newest('index_pip_extension', Side::Right, Mode::Active)->value,
            'as usual is kept as such, never as a number',
        );
        self::assertSame(
            [4.0, 6.0],
            array_map(
                static fn ($r): float|bool|string|null => $r->value,
                $this->service(ReadingRepository::class)->history($this->odalys, 'wrist_ext_hold_s'),
            ),
            'history is never overwritten',
        );
    }

    public function testNonsenseIsRefusedInPlaceAndNothingTypedIsLost(): void
    {
        $before = \count($this->entities->getRepository(RecordedReading::class)->findAll());
        $this->post(
            $this->path(),
            [
                'm' => [
                    'wrist_extension:right:active:-' => '10',
                    'wrist_flexion:right:active:-' => '',
                    'forearm_supination:right:active:-' => '30',
                    'index_mcp_flexion:right:active:-' => '400',
                    'opening:right:active:-' => '45',
                ],
                'note' => 'A long note',
            ],
        );

        $this->assertStatus(422);
        self::assertStringContainsString(
            'Index MCP bent, right, active: 400 is outside -45..130',
            $this->page(),
        );
        self::assertStringContainsString(
            'Hand opening by eye, right, active: 45 is not a step of 10',
            $this->page(),
        );
        self::assertSelectorExists(
            'input[name="m[index_mcp_flexion:right:active:-]"][aria-invalid="true"][value="400"]',
        );
        self::assertSelectorExists('input[name="m[wrist_extension:right:active:-]"][value="10"]');
        self::assertSelectorTextContains('textarea', 'A long note');
        self::assertCount($before, $this->entities->getRepository(RecordedReading::class)->findAll());
    }

    public function testFiguresAreComputedByTheCoreAsYouType(): void
    {
        $joints = [];
        foreach (
            ['mcp' => [80, 20], 'pip' => [90, 40], 'dip' => [60, 10]] as $joint => [$bent, $straight]
        ) {
            $joints["index_{$joint}_flexion:right:active:-"] = (string) $bent;
            $joints["index_{$joint}_extension:right:active:-"] = (string) $straight;
        }
        $this->post(
            $this->path().'/figures',
            ['m' => $joints + ['wrist_extension:right:active:-' => 'abc']],
        );
        /**
         * @var array{
         *     problems: array<string, string>,
         *     hands: array<string, array{rows: list<array<string, string>>}>,
         * } $answer
         */
        $answer = json_decode($this->page(), true, 16, \JSON_THROW_ON_ERROR);

        self::assertSame('160°', $answer['hands']['right']['rows'][1]['active']);
        self::assertSame('–', $answer['hands']['left']['rows'][1]['active']);
        self::assertSame(
            'Wrist up (extension), right, active: abc is not a number',
            $answer['problems']['wrist_extension:right:active:-'],
        );
    }

    public function testLookedForNoneOfTheRestAnswersNoForTheRestOfThatHandOnly(): void
    {
        $this->post(
            $this->path(),
            ['o' => ['clamps_on_close:right:-:-' => 'yes'], 'none' => ['tightness:right' => '1']],
        );
        $readings = $this->service(ReadingRepository::class)->for($this->odalys);

        self::assertTrue($readings->newest('clamps_on_close', Side::Right)?->value);
        self::assertFalse($readings->newest('curls', Side::Right)?->value);
        self::assertNull($readings->newest('curls', Side::Left));
    }

    public function testAMistypedValueIsCorrectedWithATrail(): void
    {
        $wrong = $this->entities->getRepository(RecordedReading::class)->findOneBy(
            ['clientId' => $this->odalys->id, 'code' => 'wrist_ext_hold_s'],
        );
        self::assertNotNull($wrong);
        $path = '/clients/'.$this->odalys->id.'/readings/'.$wrong->id;
        $this->post($path, ['value' => '99', 'reason' => 'Typed into the wrong row']);
        $this->assertStatus(422);
        $this->post($path, ['value' => '5', 'reason' => '']);
        $this->assertStatus(422);
        $this->post($path, ['value' => '5', 'reason' => 'Typed into the wrong row']);
        self::assertResponseRedirects('/clients/'.$this->odalys->id);
        $this->entities->clear();

        $repository = $this->service(ReadingRepository::class);
        $right = $this->entities->getRepository(RecordedReading::class)->findOneBy(
            ['clientId' => $this->odalys->id, 'code' => 'wrist_ext_hold_s', 'replacedById' => null],
        );
        self::assertSame(5.0, $right?->number);
        self::assertSame('Typed into the wrong row', $right->reason);
        self::assertSame(
            [4.0],
            array_map(
                static fn (RecordedReading $r): ?float => $r->number,
                $repository->trail($right),
            ),
        );
    }

    private function path(): string
    {
        return '/clients/'.$this->odalys->id.'/measure';
    }
}
