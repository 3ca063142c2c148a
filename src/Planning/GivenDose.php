<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Catalogue\Levels;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Web\Clock;
use Symfony\Component\HttpFoundation\InputBag;

/** Doses that a therapist gives by hand: within the range of the rung, and no hold longer than screening allows. */
final readonly class GivenDose
{
    public function __construct(
        private Plan $plan,
        private Clock $clock,
    ) {
    }

    /** @throws InvalidDose saying what is outside */
    public function check(Client $client, Rung $rung, Dose $dose): Dose
    {
        $rung->dosing->check($dose, $rung->name);
        $allowed = $this->shortened($client, $rung, $dose);
        if ($allowed->holdSeconds < $dose->holdSeconds) {
            throw InvalidDose::longerThanScreeningAllows($rung->name, $allowed->holdSeconds);
        }

        return $dose;
    }

    /** A computed dose as screening allows it. */
    public function shortened(Client $client, Rung $rung, Dose $dose): Dose
    {
        return $this->plan->facts($client)->measured->screening->shortened(
            $dose,
            $rung,
            $this->clock->today($client->zone),
        );
    }

    /**
     * @param InputBag<bool|float|int|string> $form
     *
     * @throws InvalidDose
     */
    public static function levels(InputBag $form): Levels
    {
        $levels = Levels::none();
        foreach (Levels::typed($form->all()['levels'] ?? []) as $code => $level) {
            $levels = $levels->with(
                Challenge::tryFrom($code) ?? throw InvalidDose::noChallenge($code),
                $level,
            );
        }

        return $levels;
    }

    /** @param InputBag<bool|float|int|string> $form */
    public static function number(InputBag $form, string $field, int $otherwise): int
    {
        $typed = $form->get($field);

        return is_numeric($typed) ? (int) $typed : $otherwise;
    }
}
