<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Week\BlockVerdict;
use HandGarden\Following\BlockReview;
use HandGarden\Planning\PlanBlock;
use Symfony\Component\Uid\Uuid;

/** What has moved over weeks, with words for who does not see the picture. */
final class TrendsTest extends OdalysTestCase
{
    private const ITEM = 'helped-lift-hold|right';

    public function testWithoutPracticeItSaysWhereItComesFrom(): void
    {
        $this->browser->request('GET', $this->path());

        self::assertStringContainsString('No practice was logged in this time.', $this->shown());
    }

    public function testItSaysInWordsWhatItDraws(): void
    {
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
        foreach ([20, 18, 17, 3, 2] as $n => $ago) {
            $this->practised(
                $ago,
                [
                    'outcome' => 'done',
                    'repetitions' => '8',
                    'hold' => '4',
                    'pain_after' => (string) $n,
                ],
            );
        }
        $this->practised(
            1,
            ['outcome' => 'skipped', 'reason' => 'tired'],
        );
        $this->keep(new PlanBlock(
            $this->odalys->clinicId,
            $this->odalys->id,
            new \DateTimeImmutable('-10 days'),
            14,
            sample: InkTask::cases()[0],
            byStaffId: $this->therapist->id,
            at: new \DateTimeImmutable(),
        ));
        $this->browser->request(
            'GET',
            $this->path().'?weeks=6',
        );
        $shown = $this->shown();

        self::assertStringContainsString('5 of 30 planned days done', $shown);
        self::assertStringContainsString('Pain was told on 5 days, median of five days from 0 to 2', $shown);
        self::assertStringContainsString('away from ', $shown);
        self::assertStringContainsString('block from ', $shown);
        self::assertStringContainsString('tired 1 ×', $shown);
        self::assertStringContainsString('A short list, another time of the day', $shown);
        $this->browser->request(
            'GET',
            $this->path().'?weeks=6&item='.self::ITEM,
        );
        self::assertStringContainsString('target met on 5 of 5 days', $this->shown());
        $this->browser->request(
            'GET',
            $this->path().'?weeks=7&item=nonsense',
        );
        $this->assertStatus(200);
    }

    public function testNothingOfAnotherClientIsInIt(): void
    {
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
        $this->practised(
            2,
            ['outcome' => 'done', 'pain_after' => '1'],
        );
        $other = $this->client(
            $this->quayside(),
            $this->therapist,
            false,
            'Ferrow',
        );
        $this->browser->request(
            'GET',
            '/clients/'.$other->id.'/trends?item='.self::ITEM,
        );

        self::assertStringContainsString('No practice was logged', $this->shown());
        self::assertStringNotContainsString('target met on 1', $this->shown());
    }

    public function testWhatIsFeltIsDrawnAndANewWordRenewsWhatWasKept(): void
    {
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->practised(3, ['outcome' => 'done', 'repetitions' => '8', 'hold' => '4']);
        $this->browser->request('GET', $this->path());
        self::assertStringNotContainsString('How well it goes:', $this->shown());
        foreach ([[20, 4, 3], [2, 6, null]] as [$ago, $ease, $content]) {
            $this->keep(new BlockReview(
                $this->odalys->clinicId,
                $this->odalys->id,
                Uuid::v7()->toRfc4122(),
                BlockVerdict::GoOn,
                decided: BlockVerdict::GoOn,
                ease: $ease,
                content: $content,
                note: '',
                byStaffId: $this->therapist->id,
                at: new \DateTimeImmutable('-'.$ago.' days'),
            ));
            $this->browser->request('GET', $this->path());
            self::assertStringContainsString('felt, not measured', $this->shown());
        }

        self::assertStringContainsString('ow well it goes: 4, 6; how content: 3', $this->shown());
    }

    /** @param array<string, string> $line */
    private function practised(int $daysAgo, array $line): void
    {
        $this->post('/clients/'.$this->odalys->id.'/logbook/paper', [
            'day' => (new \DateTimeImmutable('-'.$daysAgo.' days'))->format('Y-m-d'),
            'written_by' => 'Sister',
            'lines' => [self::ITEM => $line],
        ]);
        self::assertResponseRedirects();
    }

    private function path(): string
    {
        return '/clients/'.$this->odalys->id.'/trends';
    }
}
