<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\Asked;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\Proposer;
use HandGarden\Core\Progress\Situation;
use HandGarden\Core\Progress\StepsAhead;
use HandGarden\Planning\OpenEases;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\RoutineKind;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;

/** Proposals that wait for a therapist: what the log asks for, less what was answered already. */
final readonly class OpenProposals implements OpenEases
{
    public function __construct(
        private readonly ClinicSettings $settings,
        private Plan $plan,
        private PlanRepository $plans,
        private SittingRepository $sittings,
        private DecisionRepository $decisions,
        private Restraints $restraints,
        private UsualPains $usual,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /** @return list<Proposal> most pressing first */
    public function for(Client $client): array
    {
        return $this->asked($client)->proposals;
    }

    /** The same, with what would grow but waits. */
    public function asked(Client $client): Asked
    {
        $lists = [];
        foreach ($this->plans->routines($client) as $routine) {
            $lists[$routine->kind->value] = $this->plan->itemsOf(
                $client,
                $routine,
            );
        }
        $prescribed = Prescribed::inTurns(
            Prescribed::in(array_merge(...array_values($lists))),
            $lists[RoutineKind::Home->value] ?? [],
            $lists[RoutineKind::Other->value] ?? [],
        );
        $today = $this->clock->today($client->zone);
        $decided = $this->decisions->answered($client);
        $answered = $decided->keys();
        $quiet = $decided->cards(
            $this->clock->now()->modify('-'.Decision::QUIET_DAYS.' days'),
        );
        $restraints = $this->restraints->open($client);
        $log = $this->sittings->log($client);
        $asked = (new Proposer(
            $this->catalogue->get(),
            $this->settings->of($client->clinicId)->progress(),
        ))->asked(
            array_map(
                static fn (Prescribed $p): Prescribed => $p->under($restraints),
                $prescribed,
            ),
            $log,
            new Situation(
                $client->conditions(),
                $client->daysPerWeek,
                $today,
                $this->usual->for($client),
                answered: $answered,
                quiet: $quiet,
                steps: $decided->steps($today->modify('-7 days')),
                ahead: new StepsAhead(
                    new Placer($this->catalogue->get()),
                    fn (): ClientFacts => $this->plan->facts($client),
                    $today,
                ),
            ),
        );

        return new Asked(
            [
                ...self::held($restraints, $asked->proposals, $prescribed),
                ...array_values(array_filter(
                    $asked->proposals,
                    static fn (Proposal $p): bool => !\in_array(
                        $p->key(),
                        $answered,
                        true,
                    )
                        && !($p->kind->isACard() && $quiet->silence(
                            $p,
                            $log,
                        )),
                )),
            ],
            $asked->waiting,
        );
    }

    /**
     * What was asked for earlier, holds still, and the log of these days no longer asks for.
     *
     * @param list<Proposal>   $kept
     * @param list<Proposal>   $now
     * @param list<Prescribed> $items
     *
     * @return list<Proposal>
     */
    private static function held(array $kept, array $now, array $items): array
    {
        $keys = array_map(
            static fn (Proposal $p): string => $p->key(),
            $now,
        );
        $doses = [];
        foreach ($items as $item) {
            $doses[$item->key()] = $item->dose;
        }

        return array_values(array_filter($kept, static function (Proposal $p) use ($keys, $doses): bool {
            $dose = $doses[$p->itemKey() ?? ''] ?? null;
            $isOvertaken = null !== $p->itemKey()
                && (null === $dose || (null !== $p->to && $dose->isAtMost(
                    $p->to->withSets($dose->sets),
                )));

            return !$isOvertaken && !\in_array(
                $p->key(),
                $keys,
                true,
            );
        }));
    }
}
