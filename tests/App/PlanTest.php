<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Clinic;
use HandGarden\Account\Role;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\SavedRoutine;

final class PlanTest extends OdalysTestCase
{
    public function testPlacementShowsTheReasonsAndWhatToMeasureNext(): void
    {
        $this->browser->request('GET', $this->path('placement'));

        self::assertStringContainsString(
            'Wrist held up: 4 s, needs at least 5 s',
            $this->page(),
        );
        self::assertSelectorTextContains(
            'aside',
            'Heel, palm and fingertips rest on the table',
        );
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
        $this->post(
            $this->path('placement'),
            [
                'ladder' => 'base-1',
                'side' => 'right',
                'rung' => 'active-wrist-lift',
                'note' => 'I know better',
            ],
        );
        $this->browser->followRedirect();

        self::assertStringContainsString('no note lifts it', $this->page());
        self::assertSame(
            [],
            $this->service(PlanRepository::class)->overrides($this->odalys),
        );
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
        $this->edit(
            $routine,
            [
                'do' => 'add',
                'rung' => 'pressed-lift-hold',
                'hands' => 'right',
                'note' => 'Try a little more',
            ],
        );
        self::assertSame(
            'pressed-lift-hold',
            $this->items()[$last]->rung->id,
            'the cool-down stays last',
        );
        $this->edit($routine, ['do' => 'up', 'item' => $last]);
        self::assertSame('pressed-lift-hold', $this->items()[$last - 1]->rung->id);
        $this->edit(
            $routine,
            ['do' => 'dose', 'item' => $last - 1, 'repetitions' => '10', 'hold' => '7'],
        );
        self::assertSame(
            [10, 7],
            [
                $this->items()[$last - 1]->dose->repetitions,
                $this->items()[$last - 1]->dose->holdSeconds,
            ],
        );
        $this->edit($routine, ['do' => 'dose', 'item' => $last - 1, 'hold' => '60']);
        $this->browser->followRedirect();
        self::assertStringContainsString(
            'Hold of Pressed lift and hold: 60 is outside',
            $this->page(),
        );
        $this->edit($routine, ['do' => 'remove', 'item' => $last - 1]);
        self::assertNotContains(
            'pressed-lift-hold',
            array_map(static fn (Item $i): string => $i->rung->id, $this->items()),
        );
    }

    public function testAnOrderThatSetsARuleAsideWaitsForItsReasonAndThenShowsBoth(): void
    {
        $routine = $this->suggest();
        $before = $this->ids();
        $remove = [
            'do' => 'remove',
            'item' => (int) array_search('wrist-ease-back', $before, true),
            'key' => 'wrist-ease-back|right',
        ];
        $this->edit($routine, $remove);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('#h-waiting', 'This would set a rule aside');
        self::assertStringContainsString('ease the wrist back first', $this->page());
        self::assertSame($before, $this->ids(), 'nothing is done yet');

        $this->edit($routine, $remove + ['because' => 'eased in the bath']);
        $this->browser->followRedirect();
        self::assertNotContains('wrist-ease-back', $this->ids());
        self::assertSelectorTextContains('#items', 'ease the wrist back first');
        self::assertSelectorTextContains('#items', 'Kept all the same: eased in the bath');
    }

    public function testADoseSetInTheClinicHoldsAtHomeTooAndTheSetsStayEachRoutinesOwn(): void
    {
        $this->post($this->path('routine/suggest'), []);
        $home = $this->service(PlanRepository::class)->routine($this->odalys);
        self::assertNotNull($home);
        $item = $this->items()[1];
        $this->post($this->path('routine'), [
            'kind' => 'clinic',
            'do' => 'add',
            'rung' => $item->rung->id,
            'hands' => $item->hands->value,
            'note' => 'beside her',
            'version' => '',
        ]);
        $clinic = $this->service(PlanRepository::class)->routine(
            $this->odalys,
            RoutineKind::Clinic,
        );
        self::assertNotNull($clinic);
        $harder = $item->dose->repetitions + 1;
        $this->edit($clinic, [
            'kind' => 'clinic',
            'do' => 'dose',
            'item' => 0,
            'sets' => (string) ($item->dose->sets > 1 ? $item->dose->sets - 1 : 2),
            'repetitions' => (string) $harder,
        ]);

        $athome = $this->items()[1];
        self::assertSame($item->key(), $athome->key());
        self::assertSame($harder, $athome->dose->repetitions);
        self::assertSame($item->dose->sets, $athome->dose->sets);
    }

    public function testMoreOftenAndLessOftenChangeTheAmountAndNotTheDoseOfRecord(): void
    {
        $routine = $this->suggest();
        $at = (int) array_key_first(array_filter(
            $this->items(),
            static fn (Item $i): bool => null === $i->block && $i->dose->sets > 1,
        ));
        $item = $this->items()[$at];
        $doses = $this->entities->getRepository(PrescribedDose::class)->count([]);

        $this->edit($routine, ['do' => 'less', 'item' => $at, 'key' => $item->key()]);
        self::assertSame($item->dose->sets - 1, $this->items()[$at]->dose->sets);
        $this->edit($routine, ['do' => 'more', 'item' => $at, 'key' => $item->key()]);
        self::assertSame($item->dose->sets, $this->items()[$at]->dose->sets);
        self::assertSame(
            $doses,
            $this->entities->getRepository(PrescribedDose::class)->count([]),
        );
        $page = (string) preg_replace(
            '/\s+/',
            ' ',
            $this->browser->request('GET', $this->path('routine'))->text(),
        );
        self::assertStringContainsString('What matters most now', $page);
        self::assertStringContainsString('What limits it: ', $page);
    }

    public function testADoseThatWaitsForAReasonIsNotPrescribed(): void
    {
        $this->post($this->path('routine/suggest'), []);
        $before = $this->entities->getRepository(PrescribedDose::class)->count([]);
        $this->post(
            $this->path('routine'),
            ['do' => 'dose', 'item' => 1, 'repetitions' => '999', 'version' => '1'],
        );

        self::assertSame(
            $before,
            $this->entities->getRepository(PrescribedDose::class)->count([]),
        );
    }

    public function testWhatIsKeptInAndOutIsBuiltAround(): void
    {
        $routine = $this->suggest();
        $last = \count($this->ids()) - 1;
        $closing = $this->items()[$last];
        $this->edit(
            $routine,
            ['do' => 'add', 'rung' => 'palm-up-turn', 'hands' => 'right', 'note' => 'turns badly'],
        );
        $this->edit(
            $routine,
            [
                'do' => 'forbid',
                'item' => $last + 1,
                'key' => $closing->key(),
                'because' => 'dislikes it',
            ],
        );
        self::assertNotContains($closing->rung->id, $this->ids());
        $this->post($this->path('routine/suggest'), []);
        self::assertContains('palm-up-turn', $this->ids());
        self::assertNotContains($closing->rung->id, $this->ids());
        $this->browser->followRedirect();
        self::assertSelectorTextContains('#items', 'Note: turns badly');
        self::assertStringContainsString('Allow again', $this->page());
        $this->post($this->path('routine/suggest'), ['afresh' => '1']);
        self::assertNotContains('palm-up-turn', $this->ids());
    }

    public function testASwapTakesWhatTheListOffersAndNothingElse(): void
    {
        $routine = $this->suggest();
        [$at, $offered] = $this->firstSwap();
        $key = $this->items()[$at]->key();
        $this->edit(
            $routine,
            ['do' => 'swap', 'item' => $at, 'key' => $key, 'with' => 'soft-squeeze|right'],
        );
        $this->browser->followRedirect();
        self::assertStringContainsString('cannot stand here', $this->page());
        $this->edit(
            $routine,
            ['do' => 'swap', 'item' => $at, 'key' => $key, 'with' => $offered],
        );
        self::assertSame($offered, $this->items()[$at]->key());
    }

    /** @return array{int, string} place of an item, and what may stand there instead */
    private function firstSwap(): array
    {
        foreach ($this->items() as $at => $item) {
            $options = $this->browser
                ->request('GET', $this->path('routine').'?item='.urlencode($item->key()))
                ->filter('select[name="with"] option');
            if ($options->count() > 0) {
                return [$at, (string) $options->first()->attr('value')];
            }
        }
        self::fail('nothing can be swapped');
    }

    public function testEachKindOfRoutineHasItsOwnTimeAndStandsByItself(): void
    {
        $this->suggest();
        $home = $this->ids();
        $this->post($this->path('routine/suggest'), ['kind' => 'short']);
        $this->post($this->path('routine/suggest'), ['kind' => 'clinic']);
        $short = $this->service(PlanRepository::class)->routine(
            $this->odalys,
            RoutineKind::Short,
        );
        $clinic = $this->service(PlanRepository::class)->routine(
            $this->odalys,
            RoutineKind::Clinic,
        );

        self::assertSame($home, $this->ids());
        self::assertNotNull($short);
        self::assertNotNull($clinic);
        self::assertLessThanOrEqual(
            60 * intdiv($this->odalys->minutes, 2),
            (new Sequence($this->service(Plan::class)->itemsOf($this->odalys, $short)))->seconds(),
        );
        self::assertGreaterThan(\count($short->items), \count($clinic->items));
        $this->browser->request('GET', $this->path('routine/print?kind=short'));
        self::assertSelectorTextContains('h1', 'minutes: short day');
        $this->browser->request('GET', $this->path('sittings/new?kind=short'));
        self::assertSelectorExists('input[name="kind"][value="short"][checked]');
    }

    public function testTheMetersAnswerADoseThatIsBeingTypedAndKeepNothing(): void
    {
        $this->suggest();
        $at = (int) array_search('helped-lift-hold', $this->ids(), true);
        $before = (new Sequence($this->items()))->seconds();
        $this->browser->request(
            'GET',
            $this->path('routine/meters?item='.$at.'&repetitions=10'),
        );
        $this->assertStatus(200);
        self::assertStringContainsString('not kept yet', $this->page());
        self::assertStringNotContainsString(
            \sprintf('Time <b>%d:%02d</b>', intdiv($before, 60), $before % 60),
            $this->page(),
        );
        self::assertSame($before, (new Sequence($this->items()))->seconds());
        $this->browser->request('GET', $this->path('routine/meters?item='.$at.'&hold=99'));
        self::assertStringContainsString('outside', $this->page());
    }

    public function testGoalsShowTheRungsBeforeThemAndAShortTermGoalItsDay(): void
    {
        $this->odalys->goals = ['pour-glass' => 3];
        $this->keep($this->odalys);
        $this->browser->request('GET', $this->path('goals'));
        self::assertSelectorTextContains(
            'section[aria-label="Pour a glass of water"]',
            'Pressed lift and hold',
        );
        self::assertSelectorTextContains(
            'section[aria-label="Pour a glass of water"]',
            '1 rung',
        );

        $this->post(
            $this->path('goals'),
            ['rung' => 'pressed-lift-hold|right', 'by' => '2020-01-01', 'note' => 'before the visit'],
        );
        $this->assertStatus(422);
        self::assertStringContainsString('A day to come', $this->page());
        self::assertStringContainsString(
            'before the visit',
            $this->page(),
            'what was typed stays',
        );
        $this->post(
            $this->path('goals'),
            [
                'rung' => 'pressed-lift-hold|right',
                'by' => (new \DateTimeImmutable('+30 days'))->format('Y-m-d'),
                'note' => '',
            ],
        );
        $this->browser->followRedirect();
        self::assertSelectorTextContains(
            'section[aria-labelledby="h-short"]',
            'stands on Helped lift and hold',
        );
        $this->post(
            $this->path('goals'),
            [
                'withdraw' => (string) $this->browser
                    ->getCrawler()
                    ->filter('button[name="withdraw"]')
                    ->attr('value'),
            ],
        );
        $this->browser->followRedirect();
        self::assertSelectorTextContains('section[aria-labelledby="h-short"]', 'None set');
    }

    public function testWhatIfShowsTheEarliestDaysByTheRulesToTherapistsAndKeepsOutOfHandouts(): void
    {
        $this->suggest();
        $this->browser->request('GET', $this->path('what-if'));
        $this->assertStatus(200);
        self::assertStringContainsString('No prognosis', $this->page());
        self::assertSelectorTextContains('main', 'Wrist lifting (extension)');
        self::assertSelectorTextContains('main', 'it waits for: Pressed lift and hold');
        $this->browser->request('GET', $this->path('routine/print'));
        self::assertStringNotContainsString('what-if', $this->page());
    }

    public function testTheClientPageMapsEveryStrandThatFits(): void
    {
        $crawler = $this->browser->request('GET', '/clients/'.$this->odalys->id);

        self::assertGreaterThan(8, $crawler->filter('.garden section')->count());
        self::assertStringContainsString(
            'stands on Helped lift and hold',
            $crawler->filter('.garden a[href$="#base-1-right"]')->text(),
        );
        self::assertGreaterThan(
            0,
            $crawler->filter('.garden a[href$="#grip-1-right"] path[stroke-dasharray]')->count(),
            'kept out, so dashed',
        );
    }

    public function testALeadSetsWhatCountsAndTheNextSuggestionFollows(): void
    {
        $own = $this->entities->find(Clinic::class, $this->odalys->clinicId);
        self::assertNotNull($own);
        $this->signIn($this->staff($own, Role::Lead));
        $this->post('/clinic/settings/weights', ['goal' => '-3']);
        $this->assertStatus(422);
        $this->post('/clinic/settings/weights', ['realTask' => '0']);
        self::assertStringContainsString('It touches 1 client: Odalys Brandt', $this->shown());
        $this->post('/clinic/settings/weights', ['realTask' => '0', 'sure' => '1']);
        $this->browser->followRedirect();
        self::assertSelectorExists('input[name="realTask"][value="0"]');
        $this->entities->clear();
        $clinic = $this->entities->find(Clinic::class, $this->odalys->clinicId);
        self::assertSame(['weights.realTask'], array_keys($clinic->settings ?? []));
        $this->suggest();
        self::assertSame([], $this->tasks(), 'a task is worth nothing now');
    }

    public function testASuggestionEndsInTheRealThing(): void
    {
        $this->suggest();
        $items = $this->items();
        $at = array_key_first($this->tasks());

        self::assertSame(\count($items) - 2, $at, 'just before the end');
        $page = $this->browser->request('GET', $this->path('routine'))->text();
        self::assertStringContainsString('The real thing at the end', $page);
    }

    /** @return array<int, Item> by place */
    private function tasks(): array
    {
        return array_filter(
            $this->items(),
            static fn (Item $i): bool => 'variant.task' === $i->variant?->code,
        );
    }

    public function testTheSecondEditorOfARoutineIsToldAndNothingIsOverwritten(): void
    {
        $routine = $this->suggest();
        $stale = $routine->version;
        $this->edit($routine, ['do' => 'keep', 'item' => 1]);
        $order = $this->ids();
        $this->post(
            $this->path('routine'),
            [
                'version' => (string) $stale,
                'do' => 'add',
                'rung' => 'palm-up-turn',
                'hands' => 'right',
                'note' => 'turns badly',
            ],
        );
        $crawler = $this->browser->followRedirect();

        self::assertSelectorTextContains(
            '#h-waiting',
            'Somebody else changed this routine',
        );
        self::assertStringContainsString('turns badly', $this->page());
        self::assertSame($order, $this->ids());
        $this->browser->submit($crawler->selectButton('Do it to the routine as it is now')->form());
        self::assertContains('palm-up-turn', $this->ids());
        self::assertNotNull($this->items()[1]->kept, 'what the first did stays');
    }

    public function testAMeasuredWristOfMinus30IsDrawnOnTheClientPage(): void
    {
        $this->post(
            $this->path('measure'),
            ['m' => ['wrist_extension:right:active:-' => '-30']],
        );
        $crawler = $this->browser->request('GET', '/clients/'.$this->odalys->id);
        $source = (string) $crawler->filter('img[alt^="Right hand opened by itself"]')->attr('src');
        $this->browser->request('GET', $source);

        $this->assertStatus(200);
        self::assertStringStartsWith('<svg', $this->page());
        self::assertStringContainsString(
            'immutable',
            (string) $this->browser->getResponse()->headers->get('Cache-Control'),
        );
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

    public function testATherapistPutsAnotherLadderFirstWithANote(): void
    {
        $path = $this->path('focus');
        $this->post($path, ['ladder' => 'separate-1|right', 'note' => '']);
        $this->browser->followRedirect();
        self::assertStringContainsString('Say why it comes first.', $this->page());
        $this->post($path, ['ladder' => 'no-ladder|right', 'note' => 'because']);
        $this->browser->followRedirect();
        self::assertStringContainsString('Choose a ladder.', $this->page());

        $before = $this->focusOnPage();
        $placed = array_values(array_filter(
            $this->service(Plan::class)->placements($this->odalys)->ladders,
            static fn (LadderPlacement $p): bool => [] !== $p->offered()
                && LadderState::Standing === $p->state
                && LadderKind::Climb === $p->ladder->kind
                && !\in_array($p->ladder->name, $before, true),
        ));
        $other = $placed[0] ?? self::fail('nothing else stands');
        $key = $other->ladder->key.'|'.$other->side->value;
        $this->post($path, ['ladder' => $key, 'note' => 'she asked for it']);
        $this->browser->followRedirect();
        self::assertStringContainsString('she asked for it', $this->page());
        self::assertSame($other->ladder->name, $this->focusOnPage()[0]);

        $this->post($path, ['do' => 'end', 'ladder' => $key]);
        self::assertSame($before, $this->focusOnPage());
    }

    /** @return list<string> names of the ladders that matter most */
    private function focusOnPage(): array
    {
        $names = [];
        $found = $this->browser->request('GET', $this->path('routine'))
            ->filter('section[aria-labelledby="h-focus"] ol b');
        foreach ($found as $name) {
            $names[] = $name->textContent;
        }

        return $names;
    }

    /** @param array<string, mixed> $form */
    private function edit(SavedRoutine $routine, array $form): void
    {
        $this->post(
            $this->path('routine'),
            $form + ['version' => (string) $this->fresh($routine)->version],
        );
    }

    /** @return list<string> */
    private function ids(): array
    {
        return array_map(static fn (Item $i): string => $i->rung->id, $this->items());
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
