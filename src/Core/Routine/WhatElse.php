<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Words\Phrase;

/** The same routine built again with one material more, or with a helper: is it worth asking for? */
final readonly class WhatElse
{
    private const MOST_MATERIALS = 5;

    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /** @return list<Alternative> five more minutes first, then most gain first; what gains nothing is not named */
    public function for(Routine $now, Brief $brief): array
    {
        $builder = new Builder($this->catalogue);
        $setting = $brief->facts->setting;
        $alternatives = [];
        foreach ($this->missing($brief->placements, $brief->facts) as $key) {
            $alternatives[] = $builder->instead(
                Phrase::own($this->catalogue->handbook()->material($key)->label ?? $key),
                $now,
                $brief->withClient(
                    $brief->placements,
                    $brief->facts->withSetting(
                        $setting->withMaterials([...($setting->materials ?? []), $key]),
                    ),
                ),
            );
        }
        if (!$brief->facts->setting->helperHere) {
            $helped = $brief->facts->withSetting($setting->withHelper());
            $alternatives[] = $builder->instead(
                new Phrase('alternative.helper'),
                $now,
                $brief->withClient(
                    (new Placer($this->catalogue))->place($helped, $brief->today),
                    $helped,
                ),
            );
        }
        $alternatives = array_values(
            array_filter($alternatives, static fn (?Alternative $a): bool => null !== $a),
        );
        usort(
            $alternatives,
            static fn (
                Alternative $a,
                Alternative $b,
            ): int => [$b->gain, $a->adds] <=> [$a->gain, $b->adds],
        );

        return array_values(
            array_filter(
                [$builder->withMoreMinutes($now, $brief), ...$alternatives],
                static fn (?Alternative $a): bool => null !== $a,
            ),
        );
    }

    /**
     * @return list<string> materials that are the only thing between the client and an offered rung, most wanted
     *    first
     */
    private function missing(Placements $placements, ClientFacts $facts): array
    {
        if (null === $facts->setting->materials) {
            return [];
        }
        $wanted = [];
        foreach ($placements->ladders as $placed) {
            foreach ($placed->offered() as $rung) {
                $missing = array_values(array_diff($rung->fit->materials, $facts->setting->materials));
                if (1 === \count($missing)) {
                    $wanted[$missing[0]] = ($wanted[$missing[0]] ?? 0) + 1;
                }
            }
        }
        ksort($wanted);
        arsort($wanted);

        return \array_slice(array_keys($wanted), 0, self::MOST_MATERIALS);
    }
}
