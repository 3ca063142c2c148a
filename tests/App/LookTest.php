<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Week\BlockVerdict;
use HandGarden\Following\BlockReview;
use HandGarden\Following\ClientLook;
use HandGarden\Following\LookWord;
use HandGarden\Planning\PlanBlock;

/** One client in four minutes, and a block looked back on. */
final class LookTest extends OdalysTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
    }

    public function testWhoLookedIsKeptAlsoWhereNothingChanges(): void
    {
        $this->browser->request(
            'GET',
            $this->path('look'),
        );
        self::assertStringContainsString(
            '0 of 10 planned days',
            strip_tags($this->shown()),
        );
        $this->post(
            $this->path('look'),
            ['word' => 'same', 'note' => 'All well'],
        );

        $look = $this->entities->getRepository(ClientLook::class)->findAll();
        self::assertCount(1, $look);
        self::assertSame([LookWord::Same, 'All well', $this->therapist->id], [
            $look[0]->word,
            $look[0]->note,
            $look[0]->byStaffId,
        ]);
        $this->browser->request(
            'GET',
            $this->path('look'),
        );
        self::assertStringContainsString('same plan (All well)', $this->shown());
    }

    public function testASmallerPlanIsAQuarterLessAndSaysSo(): void
    {
        $before = $this->odalys->minutes;
        $this->post(
            $this->path('look'),
            ['word' => 'smaller'],
        );
        $this->browser->followRedirect();

        $after = $this->fresh($this->odalys)->minutes;
        self::assertSame((int) floor(0.75 * $before), $after);
        self::assertStringContainsString($after.' minutes a sitting', $this->shown());
    }

    public function testAnAgreedVisitStandsOnItsDay(): void
    {
        foreach (['', '2020-01-01', (new \DateTimeImmutable('+200 days'))->format('Y-m-d')] as $wrong) {
            $this->post(
                $this->path('look'),
                ['word' => 'visit', 'visit_on' => $wrong, 'note' => 'Bring the cup'],
            );
            $this->browser->followRedirect();
            self::assertStringContainsString('you had written ‘Bring the cup’', $this->shown());
        }
        self::assertSame(
            0,
            $this->entities->getRepository(ClientLook::class)->count(),
        );
        $this->post($this->path('look'), [
            'word' => 'visit',
            'visit_on' => (new \DateTimeImmutable())->format('Y-m-d'),
        ]);
        $this->browser->request('GET', '/');

        self::assertSelectorExists('section[data-group="visit"]');
    }

    public function testWhatIsDueInABlockStandsOnTheListUntilItIsDone(): void
    {
        $this->begun(8);
        $this->browser->request('GET', '/');
        self::assertSelectorTextContains('section[data-group="due"]', 'Day 8 of the block: a look');
        $this->post(
            $this->path('look'),
            ['word' => 'same'],
        );
        $this->browser->request('GET', '/');

        self::assertStringNotContainsString('Day 8 of the block', $this->shown());
    }

    public function testWhoChoosesOtherwiseThanTheBlockSpeaksForSaysWhy(): void
    {
        $block = $this->begun(14);
        $this->browser->request(
            'GET',
            $this->path('block/review'),
        );
        self::assertStringContainsString(
            'The block speaks for: A smaller plan',
            strip_tags($this->shown()),
        );
        $this->post(
            $this->path('block/review'),
            ['decided' => 'go-on', 'ease' => '4', 'content' => '7'],
        );
        $this->assertStatus(422);
        self::assertStringContainsString('say why', $this->shown());
        self::assertSelectorExists('input[name="ease"][value="4"][checked]');
        $this->post($this->path('block/review'), [
            'decided' => 'go-on',
            'ease' => '4',
            'content' => '7',
            'note' => 'She was at her daughter’s',
        ]);

        $review = $this->entities->getRepository(BlockReview::class)->findOneBy(['blockId' => $block->id]);
        self::assertNotNull($review);
        self::assertSame(
            [BlockVerdict::Smaller, BlockVerdict::GoOn, 4, 7],
            [
                $review->proposed,
                $review->decided,
                $review->ease,
                $review->content,
            ],
        );
        $next = $this->entities->getRepository(PlanBlock::class)->findBy([], ['beginsOn' => 'DESC'])[0];
        self::assertSame(
            $block->block()->ends()->modify('+1 day')->format('Y-m-d'),
            $next->beginsOn->format('Y-m-d'),
        );
    }

    public function testABlockIsReviewedOnce(): void
    {
        $this->begun(20);
        foreach ([1, 2] as $time) {
            $this->post(
                $this->path('block/review'),
                ['decided' => 'finish', 'note' => 'Moves away, '.$time],
            );
        }

        self::assertSame(
            1,
            $this->entities->getRepository(BlockReview::class)->count(),
        );
        self::assertSame(
            1,
            $this->entities->getRepository(PlanBlock::class)->count(),
            'finished: no other begins',
        );
    }

    public function testWithoutABlockItSaysWhereOneBegins(): void
    {
        $this->browser->request(
            'GET',
            $this->path('block/review'),
        );
        self::assertStringContainsString('No block was begun', $this->shown());
        $this->post(
            $this->path('block/review'),
            ['decided' => 'finish'],
        );

        self::assertSame(
            0,
            $this->entities->getRepository(BlockReview::class)->count(),
        );
    }

    private function begun(int $day): PlanBlock
    {
        return $this->keep(new PlanBlock(
            $this->odalys->clinicId,
            $this->odalys->id,
            new \DateTimeImmutable('-'.($day - 1).' days'),
            14,
            sample: InkTask::Word,
            byStaffId: $this->therapist->id,
            at: new \DateTimeImmutable('-'.($day - 1).' days'),
        ));
    }

    private function path(string $page): string
    {
        return '/clients/'.$this->odalys->id.'/'.$page;
    }
}
