<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Sitting;

use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Sitting\Sign;
use HandGarden\Core\Sitting\StopTable;
use PHPUnit\Framework\TestCase;

/** The player looks up what stops; whatever is answered, and whatever is not, it finds what the core says. */
final class StopsInTheBrowserTest extends TestCase
{
    private const WORSE = ['yes' => true, 'no' => false, 'not-sure' => null];

    public function testTheBrowserFindsForEveryAnswerWhatTheCoreSays(): void
    {
        $table = new StopTable(new ProgressSettings());
        $asked = $wanted = [];
        foreach (Sign::cases() as $sign) {
            foreach ([null, ...range(0, StopTable::MOST)] as $strength) {
                foreach ([null, ...array_keys(self::WORSE)] as $worse) {
                    $asked[] = [$sign->value, $strength, $worse];
                    $then = $table->of($sign, $strength, self::WORSE[$worse ?? 'not-sure']);
                    $wanted[] = [
                        $then->stops->value,
                        $then->alert?->value,
                        $then->calls,
                        $then->words,
                    ];
                }
            }
        }

        self::assertCount(14 * 12 * 4, $asked);
        self::assertSame($wanted, self::inTheBrowser(self::rows($table), $asked));
    }

    /** @return list<array<string, mixed>> as the player gets them */
    private static function rows(StopTable $table): array
    {
        $rows = [];
        foreach ($table->rows() as [$sign, $strength, $isWorse, $then]) {
            $rows[] = [
                'sign' => $sign->value,
                'asks' => $sign->asks()->value,
                'strength' => $strength,
                'worse' => array_search($isWorse, self::WORSE, true),
                'stops' => $then->stops->value,
                'alert' => $then->alert?->value,
                'calls' => $then->calls,
                'words' => $then->words,
            ];
        }

        return $rows;
    }

    /**
     * @param list<array<string, mixed>> $rows
     * @param list<list<mixed>>          $asked
     */
    private static function inTheBrowser(array $rows, array $asked): mixed
    {
        $node = proc_open(
            ['node', __DIR__.'/decide.mjs'],
            [['pipe', 'r'], ['pipe', 'w']],
            $pipes,
        );
        self::assertIsResource($node);
        fwrite($pipes[0], json_encode(['rows' => $rows, 'asked' => $asked], \JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        proc_close($node);

        return json_decode($answer, true, 512, \JSON_THROW_ON_ERROR);
    }
}
