<?php

declare(strict_types=1);

namespace HandGarden\Library;

use HandGarden\Account\Who;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\PictureCheck;
use HandGarden\Core\Catalogue\IndexedExercise;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Web\Clock;

/** Holds what was written against the rules of the catalogue and makes an exercise of the clinic from it. */
final readonly class OwnExerciseMaker
{
    public function __construct(
        private CatalogueStore $store,
        private OwnRungs $rungs,
        private Who $who,
        private Clock $clock,
    ) {
    }

    /** @throws InvalidData naming the path inside the exercise */
    public function make(string $key, int $version, OwnExerciseForm $form): OwnExercise
    {
        [, $rung] = $this->rungs->read('own-'.$key.'-v'.$version, $form->written, $form->pose);
        if ('' === trim($rung->name)) {
            throw InvalidData::at('name', 'an exercise has a name');
        }
        if ([] === $form->pose) {
            (new PictureCheck($this->store->drawings()))->check($rung->picture(), 'picture');
        }
        $catalogue = $this->store->get();
        foreach ([...$rung->easier, ...$rung->harder] as $id) {
            if (!$catalogue->hasRung($id)) {
                throw InvalidData::at('links', \sprintf('there is no exercise "%s"', $id));
            }
        }

        return new OwnExercise(
            $this->who->clinicId(),
            $key,
            $version,
            mb_substr($rung->name, 0, 120),
            written: $form->written,
            pose: $form->pose,
            facets: $form->facets($rung),
            text: IndexedExercise::textOf($rung, $catalogue->handbook()),
            seconds: $rung->startSeconds(),
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        );
    }
}
