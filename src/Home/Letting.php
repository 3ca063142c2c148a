<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Core\Home\LetInCode;
use HandGarden\Web\Clock;

/** How anything is let in at a visit: a code that goes once, pictures on both screens, the word of a therapist. */
final readonly class Letting
{
    public function __construct(
        private HomeDevices $devices,
        private Who $who,
        private Audit $audit,
        private Clock $clock,
    ) {
    }

    /**
     * One at a time: the code before is over.
     *
     * @param \Closure(string, string, \DateTimeImmutable): Pairing $make of a code's hash, by whom and when
     *
     * @return string the code as it is shown once
     */
    public function begin(?Pairing $before, \Closure $make): string
    {
        $now = $this->clock->now();
        if (null !== $before) {
            $before->endedAt = $now;
        }
        $code = LetInCode::made(random_int(...));
        $pairing = $make(Pairing::hash($code), $this->who->staff()->id, $now);
        $this->devices->keep($pairing);
        $this->audit->wrote('made let-in code', $pairing->clientId, $pairing->id);

        return $code->words();
    }

    /** @return array{open: bool, pictures: list<string>} what a page asks while it waits */
    public static function state(?Pairing $pairing): array
    {
        return ['open' => null !== $pairing, 'pictures' => $pairing?->pictures() ?? []];
    }

    /** @return ?bool whether it comes in; null: the code is over, or nobody has typed it */
    public function confirm(?Pairing $pairing, bool $isSame): ?bool
    {
        if (null === $pairing || null === $pairing->keyHash) {
            return null;
        }
        if ($isSame) {
            $pairing->confirmedAt = $this->clock->now();
        } else {
            $pairing->endedAt = $this->clock->now();
        }
        $this->devices->keep();
        $this->audit->wrote(
            $isSame ? 'confirmed device' : 'refused device',
            $pairing->clientId,
            $pairing->id,
        );

        return $isSame;
    }
}
