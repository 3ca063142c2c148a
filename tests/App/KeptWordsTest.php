<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SavedRoutine;
use HandGarden\Planning\Suspension;
use HandGarden\Progress\Decision;
use HandGarden\Progress\DecisionAnswer;

/** What is stored is a code; what was stored as words before is shown as it was said. */
final class KeptWordsTest extends OdalysTestCase
{
    public function testARoutineKeepsCodesAndThePageSaysThem(): void
    {
        $this->suggest();
        $routine = $this->routine();
        foreach ($routine->items as $item) {
            $reason = $item['reason'];
            self::assertIsArray($reason);
            self::assertArrayHasKey('say', $reason);
        }
        foreach ($routine->leftOut as $out) {
            self::assertIsArray($out['why']);
        }
        self::assertStringContainsString(
            '"say":"reason.leads_to"',
            json_encode($routine->items, \JSON_THROW_ON_ERROR),
        );
        self::assertStringNotContainsString(
            'Stands on this rung',
            json_encode($routine->items, \JSON_THROW_ON_ERROR),
        );

        $this->browser->request('GET', $this->path('routine'));
        self::assertStringContainsString('Stands on this rung of', $this->shown());
        self::assertStringContainsString('Time: ', $this->shown());
    }

    public function testARoutineOfBeforeIsShownInItsOwnWords(): void
    {
        $this->suggest();
        $routine = $this->routine();
        $items = $routine->items;
        $items[0]['reason'] = 'Because it was written in {braces} and it’s kept';
        $items[0]['variant'] = 'Lying down';
        $routine->items = $items;
        $routine->leftOut = [['what' => 'Marble run', 'why' => 'Nobody here who may do it']];
        $routine->withMore = [['with' => '5 more minutes', 'adds' => ['Fan out']]];
        $this->keep($routine);
        $this->entities->clear();

        $this->browser->request('GET', $this->path('routine'));
        $this->assertStatus(200);
        $shown = html_entity_decode($this->shown());
        self::assertStringContainsString('Because it was written in {braces} and it’s kept', $shown);
        self::assertStringContainsString('Lying down', $shown);
        self::assertMatchesRegularExpression('/Marble run.*Nobody here who may do it/', $shown);
        self::assertMatchesRegularExpression('/5 more minutes:.*Fan out/', $shown);
    }

    public function testAChangeByHandLeavesTheWordsOfTheOthersAsTheyWere(): void
    {
        $this->suggest();
        $routine = $this->routine();
        $items = $routine->items;
        $items[1]['reason'] = 'As the therapist before me said';
        $routine->items = $items;
        $this->keep($routine);
        $this->post($this->path('routine'), [
            'do' => 'remove',
            'item' => (string) (\count($items) - 1),
            'version' => (string) $routine->version,
            'because' => 'she asked for less',
        ]);

        self::assertContains(
            PhraseFormat::write(Phrase::own('As the therapist before me said')),
            array_column($this->routine()->items, 'reason'),
        );
    }

    public function testADecisionAndASuspensionOfBeforeAreReadable(): void
    {
        $now = new \DateTimeImmutable();
        $this->keep(
            new Suspension($this->odalys->clinicId, $this->odalys->id, '*', 'Fell in the garden.', at: $now),
        );
        $this->keep(new Decision(
            $this->odalys->clinicId,
            $this->odalys->id,
            'old|key',
            'advance',
            why: 'Target met on 3 days.',
            answer: DecisionAnswer::Accepted,
            note: '',
            actorKind: ActorKind::Staff,
            actorId: $this->therapist->id,
            at: $now,
        ));
        $this->entities->clear();

        $this->browser->request('GET', $this->path('decisions'));
        self::assertStringContainsString('Fell in the garden.', $this->shown());
        self::assertMatchesRegularExpression(
            '/Accepted.*Target met on 3 days\..*Sefa Ouland/',
            $this->shown(),
        );
    }

    public function testWhatTheSystemItselfDecidedHasNoName(): void
    {
        $this->keep(new Decision(
            $this->odalys->clinicId,
            $this->odalys->id,
            'kept|by|nobody',
            'advance',
            why: PhraseFormat::write(new Phrase('proposal.because.break', ['days' => 8])),
            answer: DecisionAnswer::Accepted,
            note: '',
            actorKind: ActorKind::System,
            actorId: '',
            at: new \DateTimeImmutable(),
        ));
        $this->entities->clear();

        $this->browser->request('GET', $this->path('decisions'));
        $this->assertStatus(200);
        self::assertStringContainsString(
            'No sitting for 8 days: begin one dose step lower.',
            $this->shown(),
        );
    }

    private function suggest(): void
    {
        $this->post($this->path('routine/suggest'), []);
        $this->entities->clear();
    }

    private function routine(): SavedRoutine
    {
        return $this->service(PlanRepository::class)->routine($this->fresh($this->odalys), RoutineKind::Home)
            ?? self::fail('There is none.');
    }

    private function path(string $page): string
    {
        return '/clients/'.$this->odalys->id.'/'.$page;
    }
}
