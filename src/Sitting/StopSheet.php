<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Content\Format\EventFormat;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Sitting\StopTable;
use HandGarden\Web\Wording;

/** The table of what stops, with its words, as the player looks it up without a network. */
final readonly class StopSheet
{
    public function __construct(
        private Wording $wording,
    ) {
    }

    /**
     * @param string $number of the emergency service
     *
     * @return list<array<string, mixed>> a row for each sign and answer
     */
    public function rows(string $number, ProgressSettings $settings): array
    {
        $rows = [];
        $table = new StopTable($settings);
        foreach ($table->rows() as [$sign, $strength, $isWorse, $then]) {
            $rows[] = [
                'sign' => $sign->value,
                'asks' => $sign->asks()->value,
                'strength' => $strength,
                'worse' => EventFormat::answer($isWorse),
                'stops' => $then->stops->value,
                'holds' => $then->holds->value,
                'alert' => $then->alert?->value,
                'calls' => $then->calls,
                'words' => $this->wording->word('wrong.'.$then->words, ['emergency' => $number]),
            ];
        }

        return $rows;
    }
}
