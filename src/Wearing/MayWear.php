<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use HandGarden\Client\Client;
use HandGarden\Client\Helper;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Routine\Refusal;
use HandGarden\Core\Wearing\WearStep;
use HandGarden\Core\Wearing\Worn;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\Marks;
use HandGarden\Planning\RoutineKind;
use HandGarden\Web\Clock;

/** Whether something may be worn on a hand for so long: by the door, and by who may take it off and look. */
final readonly class MayWear
{
    public function __construct(
        private Briefs $briefs,
        private Marks $marks,
        private Helpers $helpers,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /**
     * @param ?string $morningId helper who looks in the morning
     *
     * @return list<Phrase> why not; none: it may
     */
    public function refusals(
        Client $client,
        Worn $worn,
        Side $side,
        WearStep $step,
        ?string $morningId,
    ): array {
        $rung = $worn->rung($this->catalogue->get());
        if (null === $rung) {
            return [new Phrase('wear_refused.not-in-the-catalogue')];
        }
        $why = array_map(
            static fn (Refusal $r): Phrase => $r->why,
            $this->briefs->door($client, RoutineKind::Home)->refusals($rung, Hands::fromSide($side)),
        );
        $known = $this->briefs->known($client, RoutineKind::Home);
        if (
            true !== $known->value('removes_device', null, $side)
            && [] === $this->signed($client, $rung->id, $side)
        ) {
            $why[] = new Phrase('wear_refused.nobody-takes-it-off');
        }
        if (
            $step->isNight
            && true !== $known->value('touch_felt', null, $side)
            && !isset($this->helpers->there($client)[$morningId ?? ''])
        ) {
            $why[] = new Phrase('wear_refused.nobody-in-the-morning');
        }

        return $why;
    }

    /** @return list<Helper> who were shown it on this hand and are there */
    public function signed(Client $client, string $rungId, Side $side): array
    {
        $ids = [];
        foreach ($this->marks->signed($client, $this->clock->today($client->zone)) as $signOff) {
            if ($signOff->rungId === $rungId && $signOff->side === $side) {
                $ids[$signOff->helperId] = true;
            }
        }

        return array_values(array_intersect_key($this->helpers->there($client), $ids));
    }
}
