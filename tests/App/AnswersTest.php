<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Exchange\Case\CaseRunner;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Bundle\FrameworkBundle\Test\KernelTestCase;

/** Place and propose answer every case file as they did before the house was rebuilt. */
final class AnswersTest extends KernelTestCase
{
    private const ROOT = __DIR__.'/../..';
    private const KEPT = self::ROOT.'/tests/fixtures/moved/answers.json.gz';

    /** @return iterable<string, array{string, 'place'|'propose', mixed}> */
    public static function kept(): iterable
    {
        /** @var array<string, mixed> $answers */
        $answers = json_decode((string) gzdecode((string) file_get_contents(self::KEPT)), true);
        foreach ($answers as $name => $answer) {
            $question = substr((string) strrchr($name, '.'), 1);
            \assert(\in_array($question, ['place', 'propose'], true));
            yield $name => [substr($name, 0, -\strlen($question) - 1), $question, $answer];
        }
    }

    /** @param 'place'|'propose' $question */
    #[DataProvider('kept')]
    public function testAnswersAreTheOldOnesWithNewKeysTakenOut(
        string $case,
        string $question,
        mixed $old,
    ): void {
        $runner = self::getContainer()->get(CaseRunner::class);
        self::assertInstanceOf(CaseRunner::class, $runner);
        $file = self::ROOT.'/docs/examples/worked/'.$case.'.json';
        $file = is_file($file) ? $file : self::ROOT.'/docs/examples/'.$case.'.json';
        $read = $runner->read((string) file_get_contents($file));
        $answer = match ($question) {
            'place' => $runner->place($read),
            'propose' => $runner->propose($read),
        };
        $now = json_decode(json_encode($answer, \JSON_THROW_ON_ERROR), true);

        self::assertSame($old, self::withKeysOf($old, $now));
    }

    /** What the old answer did not have is left out. */
    private static function withKeysOf(mixed $old, mixed $now): mixed
    {
        if (!\is_array($old) || !\is_array($now)) {
            return $now;
        }
        $kept = array_is_list($now) ? $now : array_intersect_key($now, $old);
        foreach ($kept as $key => $value) {
            $kept[$key] = self::withKeysOf($old[$key] ?? null, $value);
        }

        return $kept;
    }
}
