<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Progress\Decision;
use HandGarden\Progress\DecisionAnswer;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingItem;
use HandGarden\Sitting\SittingRepository;
use Symfony\Component\Uid\Uuid;

/** What happened, found again: by month, by kind, corrected with its trail, from paper. */
final class LogbookTest extends OdalysTestCase
{
    private const ITEM = 'helped-lift-hold|right';

    protected function setUp(): void
    {
        parent::setUp();
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
    }

    public function testAPaperSittingStandsOnItsDayWithItsWriter(): void
    {
        $day = new \DateTimeImmutable('-3 days');
        $this->paper(
            $day,
            [self::ITEM => [
                'outcome' => 'done',
                'hold' => '4',
                'repetitions' => '8',
            ]],
        );
        $this->browser->followRedirect();

        self::assertStringContainsString('from paper, Sister', $this->shown());
        self::assertSelectorExists('#d-'.$day->format('Y-m-d'));
        $line = $this->service(SittingRepository::class)->log($this->again())->lines[0];
        self::assertTrue($line->fromPaper);
        self::assertTrue($line->metTarget(), 'its numbers are written');
    }

    public function testWithoutNumbersItIsDoneAndNoEvidence(): void
    {
        $this->paper(
            new \DateTimeImmutable('-1 day'),
            [self::ITEM => [
                'outcome' => 'done',
                'pain_after' => '5',
            ]],
        );

        $line = $this->service(SittingRepository::class)->log($this->again())->lines[0];
        self::assertFalse($line->metTarget());
        self::assertSame(1.0, $line->reached());
        self::assertSame(5, $line->painAfter, 'pain always counts');
    }

    public function testWhatCannotBeIsRefusedInPlaceAndStaysTyped(): void
    {
        $done = [self::ITEM => ['outcome' => 'done']];
        foreach (
            [
                [new \DateTimeImmutable('+2 days'), $done, 'Sister', 'has not come yet'],
                [new \DateTimeImmutable('-90 days'), $done, 'Sister', 'days ago'],
                [new \DateTimeImmutable('-1 day'), $done, '', 'who wrote it'],
                [new \DateTimeImmutable('-1 day'), [], 'Sister', 'at least one exercise'],
                [
                    new \DateTimeImmutable('-1 day'),
                    [self::ITEM => ['outcome' => 'won']],
                    'Sister',
                    'outcome',
                ],
                [
                    new \DateTimeImmutable('-1 day'),
                    [self::ITEM => [
                        'outcome' => 'done',
                        'pain_after' => '12',
                    ]],
                    'Sister',
                    'pain_after',
                ],
            ] as [$day, $lines, $by, $says]
        ) {
            $this->paper($day, $lines, $by);
            $this->assertStatus(422);
            self::assertStringContainsString(
                $says,
                mb_strtolower($this->shown()),
            );
            self::assertInputValueSame('day', $day->format('Y-m-d'));
        }
        self::assertSame(
            0,
            $this->entities->getRepository(Sitting::class)->count(),
        );
    }

    public function testASymptomOnPaperHoldsLikeAnyOther(): void
    {
        $this->paper(
            new \DateTimeImmutable('-1 day'),
            [self::ITEM => [
                'outcome' => 'part',
                'pain_after' => '8',
            ]],
        );
        $this->browser->request('GET', '/');

        self::assertSelectorExists('section[data-group="alerts"]');
    }

    public function testItIsFilteredByKindExercisePartPersonAndSymptom(): void
    {
        $this->paper(
            new \DateTimeImmutable('today'),
            [self::ITEM => [
                'outcome' => 'part',
                'pain_after' => '8',
            ]],
        );
        $count = function (string $query): int {
            $this->browser->request(
                'GET',
                $this->path('logbook?'.$query),
            );

            return $this->browser->getCrawler()->filter('.log-day li')->count();
        };

        self::assertSame(3, $count(''), 'the visit, the sitting and its alert');
        self::assertSame(1, $count('kind=sittings'));
        self::assertSame(1, $count('rung=helped-lift-hold'));
        self::assertSame(0, $count('rung=rocker-cut-food'));
        self::assertSame(1, $count('part=wrist'));
        self::assertSame(2, $count('symptoms=1'));
        self::assertSame(
            2,
            $count('person='.$this->therapist->id),
        );
        self::assertSame(
            0,
            $count('person='.Uuid::v4()->toRfc4122()),
        );
        self::assertSame(0, $count('month=2020-01'));
        self::assertSame(3, $count('month=nonsense&kind=nonsense&part=nonsense'));
    }

    public function testACorrectionOfADayThatIsOverNeedsAReasonAndKeepsWhatHurt(): void
    {
        $this->paper(
            new \DateTimeImmutable('-2 days'),
            [self::ITEM => [
                'outcome' => 'done',
                'pain_after' => '4',
            ]],
        );
        $item = $this->item();
        $this->correct(
            $item,
            ['outcome' => 'part', 'pain_after' => '0'],
        );
        self::assertSame(
            'done',
            $this->fresh($item)->told['outcome'] ?? null,
        );
        $this->correct(
            $item,
            ['outcome' => 'part', 'pain_after' => '0', 'why' => 'She did half of it'],
        );

        $told = $this->fresh($item)->told ?? [];
        self::assertSame('part', $told['outcome'] ?? null);
        self::assertSame(4, $told['pain_after'] ?? null);
        self::assertSame(
            $item->day?->format('Y-m-d'),
            $this->fresh($item)->day?->format('Y-m-d'),
        );
        $this->browser->request(
            'GET',
            '/sittings/'.$item->sittingId.'/record',
        );
        self::assertStringContainsString(
            'because: She did half of it',
            strip_tags($this->shown()),
        );
        $this->browser->request(
            'GET',
            $this->path('logbook'),
        );
        self::assertStringContainsString('1 corrected', $this->shown());
    }

    public function testWhatWasAcceptedSaysThatItRestsOnACorrectedLine(): void
    {
        $this->paper(
            new \DateTimeImmutable('-2 days'),
            [self::ITEM => ['outcome' => 'done']],
        );
        $item = $this->item();
        foreach ([DecisionAnswer::Accepted, DecisionAnswer::Declined] as $answer) {
            $this->keep(new Decision(
                $this->odalys->clinicId,
                $this->odalys->id,
                'a.'.$answer->value.'|helped-lift-hold|right|'.$item->id,
                ProposalKind::Advance->value,
                why: PhraseFormat::write(Phrase::own('Met.')),
                answer: $answer,
                note: '',
                actorKind: Actor::staff($this->therapist->id)->kind,
                actorId: $this->therapist->id,
                at: new \DateTimeImmutable('-1 day'),
            ));
        }
        $this->browser->request(
            'GET',
            $this->path('decisions'),
        );
        self::assertStringNotContainsString('rests on a corrected line', $this->page());
        $this->correct(
            $item,
            ['outcome' => 'part', 'why' => 'Wrong row'],
        );
        $this->browser->request(
            'GET',
            $this->path('decisions'),
        );

        self::assertSame(
            1,
            substr_count($this->page(), 'rests on a corrected line'),
        );
    }

    /** @param array<string, array<string, string>> $lines */
    private function paper(\DateTimeImmutable $day, array $lines, string $by = 'Sister'): void
    {
        $this->post($this->path('logbook/paper'), [
            'day' => $day->format('Y-m-d'),
            'written_by' => $by,
            'pain_before' => '1',
            'lines' => $lines,
        ]);
        $this->entities->clear();
        $this->service(SittingRepository::class)->reset();
    }

    private function item(): SittingItem
    {
        $item = $this->entities->getRepository(SittingItem::class)->findOneBy(
            ['clientId' => $this->odalys->id],
        );
        self::assertNotNull($item);

        return $item;
    }

    /** @param array<string, string> $line */
    private function correct(SittingItem $item, array $line): void
    {
        $this->post('/sittings/'.$item->sittingId.'/log', [
            'id' => Uuid::v4()->toRfc4122(),
            'item' => $item->id,
        ] + $line);
    }

    private function again(): \HandGarden\Client\Client
    {
        return $this->fresh($this->odalys);
    }

    private function path(string $page): string
    {
        return '/clients/'.$this->odalys->id.'/'.$page;
    }
}
