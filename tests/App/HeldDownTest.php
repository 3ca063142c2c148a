<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Routine\Refusal;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\GivenToday;
use HandGarden\Planning\Plan;
use HandGarden\Planning\RoutineKind;
use HandGarden\Progress\OpenProposals;
use HandGarden\Progress\Restraint;
use HandGarden\Progress\Restraints;
use HandGarden\Progress\UsualPainNote;
use HandGarden\Progress\UsualPains;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\Sitting;
use HandGarden\Tests\Core\Cases;
use Symfony\Component\Uid\Uuid;

/** What holds a client down, who may lift it, and that nothing comes in past the one door. */
final class HeldDownTest extends OdalysTestCase
{
    public function testABladeCannotBeAddedByHandUnderWhatBarsIt(): void
    {
        $this->post($this->path('routine'), [
            'do' => 'add',
            'rung' => 'rocker-cut-food',
            'hands' => 'right',
            'note' => 'I want it',
        ]);
        $this->browser->followRedirect();

        self::assertStringContainsString('may not be given now', $this->page());
        self::assertSame(
            [],
            $this->service(Plan::class)->items($this->odalys),
        );
    }

    public function testSeverePainRaisesOneAlertThatStaysUntilItIsAnsweredWithANote(): void
    {
        $sitting = $this->begun();
        foreach ([0, 0, 1] as $item) {
            $this->postJson('/sittings/'.$sitting->id.'/log', [
                'id' => Uuid::v4()->toRfc4122(),
                'item' => $item,
                'outcome' => 'part',
                'new_tingling' => true,
            ]);
        }
        $open = $this->service(Alerts::class)->open($this->odalys);
        self::assertCount(2, $open, 'one of each item');
        $path = $this->path('alerts/'.$open[0]->id);
        $this->post($path, ['note' => '']);
        self::assertNull($this->fresh($open[0])->answeredAt);
        $this->post($path, ['note' => 'Called; strap too tight']);
        self::assertNull(
            $this->fresh($open[0])->answeredAt,
            'what becomes of it, and when is it looked at again?',
        );
        $this->post($path, [
            'note' => 'Called; strap too tight',
            'act' => 'keep',
            'look_on' => (new \DateTimeImmutable('+2 days'))->format('Y-m-d'),
        ]);

        $answered = $this->fresh($open[0]);
        self::assertSame('Called; strap too tight', $answered->note);
        self::assertSame(
            $this->therapist->id,
            $answered->answeredById,
        );
        $this->browser->request(
            'GET',
            $this->path('decisions'),
        );
        self::assertSelectorCount(1, 'section[aria-label="To answer"]');
        $this->browser->request('GET', '/');
        self::assertSelectorExists('section[data-group="alerts"]', 'the other waits');
    }

    public function testSeverePainLetsThePartRestWithTheItem(): void
    {
        $sitting = $this->begun();
        $items = $this->service(GivenToday::class)->for($this->odalys)->items;
        $at = null;
        foreach ($items as $i => $item) {
            $at = [] !== $item->rung->demands->works->strained() ? $i : $at;
        }
        self::assertNotNull($at);
        $part = $items[$at]->rung->demands->works->strained()[0];
        $this->postJson('/sittings/'.$sitting->id.'/log', [
            'id' => Uuid::v4()->toRfc4122(),
            'item' => $at,
            'outcome' => 'part',
            'pain_before' => 1,
            'pain_after' => 8,
        ]);
        $this->entities->clear();
        $this->service(Plan::class)->reset();
        $given = $this->service(GivenToday::class)->for(
            $this->fresh($this->odalys),
        );

        self::assertNotSame([], $given->resting);
        foreach ($given->items as $item) {
            self::assertTrue(
                $item->isPause
                || 'calm' === $item->rung->load->class->value
                || !\in_array(
                    $part,
                    $item->rung->demands->works->strained(),
                    true,
                ),
                $item->rung->id,
            );
        }
    }

    public function testWhatHeldDownStaysThoughItsDaysPassOutOfSightUntilItIsAnswered(): void
    {
        $this->post(
            $this->path('routine/suggest'),
            [],
        );
        $item = null;
        foreach ($this->service(Plan::class)->items($this->odalys) as $one) {
            $item = $one->dose->holdSeconds > 3 ? $one : $item;
        }
        self::assertNotNull($item);
        $ease = new Proposal(
            ProposalKind::Ease,
            'ease.pain',
            new Phrase('proposal.because.systemic'),
            ['gone'],
            rungId: $item->rung->id,
            hands: $item->hands,
            from: $item->dose,
            to: $item->dose->withHold(2),
        );
        $this->service(Restraints::class)->keep(
            $this->odalys,
            [$ease, $ease],
        );
        $holds = fn (): int => $this->doseNow(
            $item->key(),
        );

        self::assertCount(
            1,
            $this->entities->getRepository(Restraint::class)->findAll(),
        );
        self::assertSame(2, $holds());
        $this->browser->request(
            'GET',
            $this->path('routine'),
        );
        self::assertSelectorTextContains('#h-held', 'Held down until you have looked');
        $this->post(
            $this->path('decisions'),
            [
                'proposal' => $ease->key(),
                'answer' => 'declined',
                'note' => 'old',
            ],
        );

        self::assertSame(
            $item->dose->holdSeconds,
            $holds(),
            'lifted',
        );
        self::assertSame(
            [],
            $this->service(OpenProposals::class)->for(
                $this->fresh($this->odalys),
            ),
        );
    }

    public function testWhatWasShownBesideATherapistMayBeDoneAtHome(): void
    {
        $rung = Cases::catalogue()->rung('pressed-lift-hold');
        self::assertTrue($rung->isShownFirst());
        $waits = fn (): bool => [] !== array_filter(
            $this->service(Briefs::class)->door(
                $this->fresh($this->odalys),
                RoutineKind::Home,
            )->refusals(
                $rung,
                Hands::Right,
            ),
            static fn (Refusal $refusal): bool => $refusal->isToShow,
        );
        self::assertTrue($waits());
        $this->post(
            $this->path('shown'),
            ['do' => 'shown', 'rung' => 'pressed-lift-hold|right'],
        );

        self::assertFalse($waits());
    }

    public function testUsualPainIsNotedWithItsCauseAndHolds(): void
    {
        $note = [
            'part' => 'wrist',
            'side' => 'right',
            'cause' => 'Old fracture',
        ];
        $this->post(
            $this->path('usual-pain'),
            ['level' => '7'] + $note,
        );
        $this->post(
            $this->path('usual-pain'),
            ['level' => '5'] + $note,
        );
        $this->post(
            $this->path('usual-pain'),
            ['level' => '4', 'cause' => ''] + $note,
        );

        self::assertSame([5], array_map(
            static fn (UsualPainNote $n): int => $n->level,
            $this->service(UsualPains::class)->notes($this->odalys),
        ));
    }

    private function doseNow(string $key): int
    {
        $this->service(Plan::class)->reset();
        foreach ($this->service(GivenToday::class)->for($this->fresh($this->odalys))->items as $item) {
            if ($item->key() === $key) {
                return $item->dose->holdSeconds;
            }
        }
        self::fail($key.' is not given');
    }

    private function begun(): Sitting
    {
        $this->post(
            $this->path('routine/suggest'),
            [],
        );
        $this->post(
            $this->path('sittings/new'),
            ['pain_before' => '1', 'help' => 'none'],
        );
        $sitting = $this->entities->getRepository(Sitting::class)->findOneBy(
            ['clientId' => $this->odalys->id],
        );
        self::assertNotNull($sitting);

        return $sitting;
    }

    private function path(string $page): string
    {
        return '/clients/'.$this->odalys->id.'/'.$page;
    }
}
