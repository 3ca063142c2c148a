<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Routine\Item;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\SavedRoutine;

final class PlanTest extends OdalysTestCase
{
    public function testPlacementShowsTheReasonsAndWhatToMeasureNext(): void
    {
        $this->browser->request('GET', $this->path('placement'));

        self::assertStringContainsString('Wrist held up: 4 s, needs at least 5 s', $this->page());
        self::assertSelectorTextContains('aside', 'Heel, palm and fingertips rest on the table');
    }

    public function testAnotherRungWantsANoteAndStandsBesideTheComputedOne(): void
    {
        $form = ['ladder' => 'base-1', 'side' => 'right', 'rung' => 'active-wrist-lift'];
        $this->post($this->path('placement'), $form + ['note' => '']);
        $this->browser->followRedirect();
        self::assertStringContainsString('was not set', $this->page());
        $this->post($this->path('placement'), $form + ['note' => 'Lifts it every morning']);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('#base-1-right', 'Lifts it every morning');
        self::assertSelectorTextContains('#base-1-right', 'Computed: Helped lift and hold');
        $this->post($this->path('placement'), ['rung' => ''] + $form);
        $this->browser->followRedirect();
        self::assertSelectorTextNotContains('#base-1-right', 'Lifts it every morning');
    }

    public function testScreeningCannotBeOverridden(): void
    {
        $this->post($this->path('screening'), ['recent_injury' => 'yes']);
        $this->post($this->path('placement'), ['ladder' => 'base-1', 'side' => 'right', 'rung' => 'active-wrist-lift', 'note' => 'I know better']);
        $this->browser->followRedirect();

        self::assertStringContainsString('that cannot be overridden', $this->page());
        self::assertSame([], $this->service(PlanRepository::class)->overrides($this->odalys));
    }

    public function testSuggestMakesARoutineWithinTheMinutesAndShowsIt(): void
    {
        $this->suggest();
        $this->browser->followRedirect();

        self::assertSelectorTextContains('#items', 'Helped lift and hold');
        self::assertSelectorExists('#items img[src^="/hands/"][alt*="right hand"]');
        self::assertStringContainsString('Left out, and why', $this->page());
        $this->browser->request('GET', $this->path('routine/print'));
        self::assertStringContainsString('call the emergency number', $this->page());
        self::assertSelectorExists('li.sheet-item img.hand');
    }

    public function testItemsAreAddedMovedDosedAndRemovedByHand(): void
    {
        $routine = $this->suggest();
        $last = \count($this->items()) - 1;
        $this->edit($routine, ['do' => 'add', 'rung' => 'pressed-lift-hold', 'hands' => 'right', 'note' => 'Try a little more']);
        self::assertSame('pressed-lift-hold', $this->items()[$last]->rung->id, 'the cool-down stays last');
        $this->edit($routine, ['do' => 'up', 'item' => $last]);
        self::assertSame('pressed-lift-hold', $this->items()[$last - 1]->rung->id);
        $this->edit($routine, ['do' => 'dose', 'item' => $last - 1, 'repetitions' => '10', 'hold' => '7']);
        self::assertSame([10, 7], [$this->items()[$last - 1]->dose->repetitions, $this->items()[$last - 1]->dose->holdSeconds]);
        $this->edit($routine, ['do' => 'dose', 'item' => $last - 1, 'hold' => '60']);
        $this->browser->followRedirect();
        self::assertStringContainsString('Hold of Pressed lift and hold: 60 is outside', $this->page());
        $this->edit($routine, ['do' => 'remove', 'item' => $last - 1]);
        self::assertNotContains('pressed-lift-hold', array_map(static fn (Item $i): string => $i->rung->id, $this->items()));
    }

    public function testAHandMadeOrderShowsTheRuleItBreaks(): void
    {
        $routine = $this->suggest();
        $place = (int) array_search('wrist-ease-back', array_map(static fn (Item $i): string => $i->rung->id, $this->items()), true);
        $this->edit($routine, ['do' => 'remove', 'item' => $place]);
        $this->browser->followRedirect();

        self::assertSelectorTextContains('#items', 'ease the wrist back first');
    }

    public function testTheSecondEditorOfARoutineIsToldAndNothingIsOverwritten(): void
    {
        $routine = $this->suggest();
        $stale = $routine->version;
        $this->edit($routine, ['do' => 'remove', 'item' => 0]);
        $count = \count($this->items());
        $this->post($this->path('routine'), ['version' => (string) $stale, 'do' => 'remove', 'item' => '0']);
        $this->browser->followRedirect();

        self::assertStringContainsString('Somebody else changed this routine', $this->page());
        self::assertCount($count, $this->items());
    }

    public function testAMeasuredWristOfMinus30IsDrawnOnTheClientPage(): void
    {
        $this->post($this->path('measure'), ['m' => ['wrist_extension:right:active:-' => '-30']]);
        $crawler = $this->browser->request('GET', '/clients/'.$this->odalys->id);
        $source = (string) $crawler->filter('img[alt^="Right hand opened by itself"]')->attr('src');
        $this->browser->request('GET', $source);

        $this->assertStatus(200);
        self::assertStringStartsWith('<svg', $this->page());
        self::assertStringContainsString('immutable', (string) $this->browser->getResponse()->headers->get('Cache-Control'));
        $this->browser->request('GET', '/hands/'.str_repeat('a', 32).'.svg');
        $this->assertStatus(404);
    }

    private function suggest(): SavedRoutine
    {
        $this->post($this->path('routine/suggest'), []);
        $routine = $this->service(PlanRepository::class)->routine($this->odalys);
        self::assertNotNull($routine);

        return $routine;
    }

    /** @param array<string, int|string> $form */
    private function edit(SavedRoutine $routine, array $form): void
    {
        $this->post($this->path('routine'), $form + ['version' => (string) $this->fresh($routine)->version]);
    }

    /** @return list<Item> */
    private function items(): array
    {
        $this->entities->clear();

        return $this->service(Plan::class)->items($this->odalys);
    }

    private function path(string $page): string
    {
        return '/clients/'.$this->odalys->id.'/'.$page;
    }
}
