<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Core\Progress\TurnedAway;
use HandGarden\Core\Week\BlockStage;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\Marks;
use HandGarden\Planning\PlanBlock;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\SignOff;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Wearing\WearSheets;

/** What is due with a client on a day, beside decisions: a step of the block, a sign-off, a look after an injection. */
final readonly class DueList
{
    private const INJECTION_WEEKS = [2, 6, 12];

    public function __construct(
        private PlanRepository $plans,
        private Looks $looks,
        private Marks $marks,
        private Helpers $helpers,
        private WearSheets $wears,
        private SittingRepository $sittings,
    ) {
    }

    /** @return list<Phrase> most pressing first */
    public function of(Client $client, \DateTimeImmutable $today, ?\DateTimeImmutable $measuredOn): array
    {
        $block = $this->plans->block($client);

        return array_values(array_filter([
            TurnedAway::isForADoctor($this->sittings->log($client), $today) ? new Phrase(
                'due.turned-away',
            ) : null,
            null === $block ? null : $this->ofBlock(
                $client,
                $block,
                $today,
            ),
            $this->afterInjection($client, $today, $measuredOn),
            $this->signOff($client, $today),
            $this->worn($client, $today),
        ]));
    }

    public function stage(Client $client, PlanBlock $kept, \DateTimeImmutable $today): ?BlockStage
    {
        $called = $looked = false;
        $lookFrom = $kept->beginsOn->modify('+'.(BlockStage::lookFrom() - 1).' days');
        foreach ($this->looks->of($client) as $look) {
            $called = $called || (LookWord::Call === $look->word && $look->at >= $kept->beginsOn);
            $looked = $looked || $look->at >= $lookFrom;
        }

        return BlockStage::due(
            $kept->block(),
            $today,
            isCalled: $called,
            isLookedAt: $looked,
            isReviewed: null !== $this->looks->reviewOf(
                $client,
                $kept->id,
            ),
        );
    }

    private function ofBlock(Client $client, PlanBlock $kept, \DateTimeImmutable $today): ?Phrase
    {
        $stage = $this->stage($client, $kept, $today);

        return null === $stage ? null : new Phrase('due.'.$stage->value, [
            'day' => $kept->block()->dayOf($today),
            'ends' => Phrase::day(
                $kept->block()->ends(),
            ),
        ]);
    }

    /** In weeks 2, 6 and 12 it is measured anew. */
    private function afterInjection(
        Client $client,
        \DateTimeImmutable $today,
        ?\DateTimeImmutable $measuredOn,
    ): ?Phrase {
        if (null === $client->injectedOn) {
            return null;
        }
        $week = intdiv(
            (int) $client->injectedOn->diff($today)->format('%r%a'),
            7,
        );
        $begins = $client->injectedOn->modify('+'.(7 * $week).' days');
        $isMeasured = null !== $measuredOn && $measuredOn >= $begins;

        return \in_array($week, self::INJECTION_WEEKS, true) && !$isMeasured
            ? new Phrase('due.injection', ['week' => $week])
            : null;
    }

    private function signOff(Client $client, \DateTimeImmutable $today): ?Phrase
    {
        $soon = $today->modify('+'.SignOff::SOON_DAYS.' days');
        foreach ($this->marks->signed($client, $today) as $signed) {
            if ($signed->until <= $soon) {
                return new Phrase('due.sign-off', [
                    'helper' => $this->helpers->names($client)[$signed->helperId] ?? '',
                    'until' => Phrase::day($signed->until),
                ]);
            }
        }

        return null;
    }

    /** Worn longer after clean looks, or its fit is looked at. */
    private function worn(Client $client, \DateTimeImmutable $today): ?Phrase
    {
        foreach ($this->wears->of($client) as $sheet) {
            $code = match (true) {
                $sheet->isHeld => null, // its alert stands above
                $sheet->growth()->isAsked => 'due.wear-longer',
                $sheet->fitDueOn <= $today => 'due.wear-fit',
                default => null,
            };
            if (null !== $code) {
                return new Phrase($code, ['worn' => $sheet->plan->worn->value]);
            }
        }

        return null;
    }
}
