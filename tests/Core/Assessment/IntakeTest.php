<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Assessment;

use HandGarden\Client\Intake;
use HandGarden\Client\IntakeInput;
use HandGarden\Web\Problems;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Validator\Validation;

final class IntakeTest extends TestCase
{
    public function testWhatWasTypedIsKeptReadAgainAndSaid(): void
    {
        $input = IntakeInput::typed(
            [
                'onsetOn' => '2025-11-02',
                'medicines' => ' Levodopa ',
                'doseTimes' => '12.30, 7:00 12:30',
                'communication' => ['short', 'telepathy'],
                'commands' => '2',
                'seatedMinutes' => '45',
                'epilepsy' => 'yes',
                'consentOn' => '2025-12-01',
            ],
        );
        self::assertSame([], $this->problems($input));
        $kept = Intake::fromArray($input->intake()->toArray());

        self::assertEquals($input->intake(), $kept);
        self::assertSame(['07:00', '12:30'], $kept->doseTimes);
        self::assertSame(['short'], $kept->communication);
        self::assertSame('Levodopa at 07:00, 12:30', $kept->said()['Medicines']);
        self::assertSame('yes', $kept->said()['Epilepsy']);
        self::assertEquals(
            $input->intake(),
            IntakeInput::from($kept)->intake(),
            'shown again it is the same',
        );
    }

    public function testNothingAskedSaysThatConsentIsNotNoted(): void
    {
        self::assertSame(['Consent' => 'not noted'], (new Intake())->said());
        self::assertSame([], (new Intake())->toArray());
        self::assertEquals(
            new Intake(),
            Intake::fromArray(
                [
                    'doseTimes' => 'x',
                    'seatedMinutes' => 'many',
                    'communication' => [3],
                    'living' => 7,
                ],
            ),
        );
    }

    /** @return iterable<string, array{string, mixed}> */
    public static function wrong(): iterable
    {
        yield 'a time that is none' => ['doseTimes', 'noon'];
        yield 'an hour that is none' => ['doseTimes', '27:00'];
        yield 'no day' => ['onsetOn', 'last spring'];
        yield 'a day to come' => ['consentOn', '2999-01-01'];
        yield 'more than a day' => ['seatedMinutes', '9999'];
        yield 'words for minutes' => ['seatedMinutes', 'long'];
        yield 'an answer nobody offered' => ['epilepsy', 'perhaps'];
        yield 'a novel' => ['living', str_repeat('x', 201)];
    }

    #[DataProvider('wrong')]
    public function testWhatIsWrongIsSaidAtItsField(string $field, mixed $value): void
    {
        self::assertSame(
            [$field],
            array_keys($this->problems(IntakeInput::typed([$field => $value]))),
        );
    }

    /** @return array<string, string> */
    private function problems(IntakeInput $input): array
    {
        return Problems::byField(
            Validation::createValidatorBuilder()
                ->enableAttributeMapping()
                ->getValidator()
                ->validate($input),
        );
    }
}
