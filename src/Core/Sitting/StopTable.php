<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

use HandGarden\Core\Progress\ProgressSettings;

/** What each sign stops, by how strong or how doubtful it is. The player looks up here and decides nothing. */
final readonly class StopTable
{
    public const MOST = 10;

    private int $strong;

    private int $felt;

    public function __construct(ProgressSettings $settings)
    {
        $this->strong = $settings->painSuspends;
        $this->felt = $settings->painFrom;
    }

    /**
     * @param ?int  $strength 0 to 10, of what asks for it; null: not told, and counts as the worst
     * @param ?bool $isWorse  the answer of what has a question; null: not sure, and counts as yes
     */
    public function of(Sign $sign, ?int $strength = null, ?bool $isWorse = null): Consequence
    {
        return match ($sign->asks()) {
            SignAsks::Strength => $this->ofPain($strength ?? self::MOST),
            SignAsks::Doubt => false === $isWorse ? self::mild($sign) : self::worse($sign),
            SignAsks::Nothing => self::plain($sign),
        };
    }

    /** @return list<array{Sign, ?int, ?bool, Consequence}> sign, strength, answer: every combination there is */
    public function rows(): array
    {
        $rows = [];
        foreach (Sign::cases() as $sign) {
            $answers = match ($sign->asks()) {
                SignAsks::Strength => array_map(
                    static fn (int $n): array => [$n, null],
                    range(0, self::MOST),
                ),
                SignAsks::Doubt => [
                    [null, true],
                    [null, false],
                    [null, null],
                ],
                SignAsks::Nothing => [[null, null]],
            };
            foreach ($answers as [$strength, $isWorse]) {
                $rows[] = [$sign, $strength, $isWorse, $this->of($sign, $strength, $isWorse)];
            }
        }

        return $rows;
    }

    private function ofPain(int $strength): Consequence
    {
        return match (true) {
            $strength <= 0 => new Consequence(
                'pain-none',
                Stops::Nothing,
                Stops::Nothing,
                null,
            ),
            $strength < $this->felt => new Consequence(
                'pain-little',
                Stops::Item,
                Stops::Nothing,
                null,
            ),
            $strength < $this->strong => new Consequence(
                'pain-some',
                Stops::Part,
                Stops::Nothing,
                null,
            ),
            default => new Consequence(
                'pain-strong',
                Stops::Part,
                Stops::Part,
                AlertKind::Part,
            ),
        };
    }

    private static function worse(Sign $sign): Consequence
    {
        return match ($sign) {
            Sign::Dizzy => self::plain(Sign::Chest),
            Sign::Tingling => new Consequence(
                'tingling-new',
                Stops::Item,
                Stops::Item,
                AlertKind::Part,
            ),
            Sign::Cramp => new Consequence(
                'cramp-stays',
                Stops::Item,
                Stops::Nothing,
                AlertKind::Cramp,
            ),
            Sign::Skin => new Consequence(
                'skin-marked',
                Stops::Item,
                Stops::Item,
                AlertKind::Wear,
            ),
            Sign::Ill => new Consequence(
                'ill-stiff',
                Stops::Sitting,
                Stops::Everything,
                AlertKind::Stop,
            ),
            default => self::plain($sign),
        };
    }

    private static function mild(Sign $sign): Consequence
    {
        return match ($sign) {
            Sign::Dizzy => new Consequence(
                'dizzy',
                Stops::Everything,
                Stops::Everything,
                AlertKind::Stop,
            ),
            Sign::Tingling => new Consequence(
                'tingling-known',
                Stops::Item,
                Stops::Nothing,
                null,
            ),
            Sign::Cramp => new Consequence(
                'cramp',
                Stops::Item,
                Stops::Nothing,
                null,
            ),
            Sign::Skin => new Consequence(
                'skin',
                Stops::Item,
                Stops::Nothing,
                null,
            ),
            Sign::Ill => new Consequence(
                'ill',
                Stops::Sitting,
                Stops::Nothing,
                null,
            ),
            default => self::plain($sign),
        };
    }

    private static function plain(Sign $sign): Consequence
    {
        return match ($sign) {
            Sign::Stroke, Sign::Fit, Sign::Chest => new Consequence(
                $sign->value,
                Stops::Everything,
                Stops::Everything,
                AlertKind::Emergency,
                calls: true,
            ),
            Sign::Swollen, Sign::Fall => new Consequence(
                $sign->value,
                Stops::Everything,
                Stops::Everything,
                AlertKind::Stop,
            ),
            Sign::Cut => new Consequence(
                $sign->value,
                Stops::Sitting,
                Stops::Item,
                AlertKind::Stop,
            ),
            Sign::Stuck => new Consequence(
                $sign->value,
                Stops::Item,
                Stops::Item,
                AlertKind::Wear,
            ),
            Sign::Upset => new Consequence(
                $sign->value,
                Stops::Sitting,
                Stops::Nothing,
                AlertKind::Human,
            ),
            Sign::Pain, Sign::Dizzy, Sign::Tingling, Sign::Cramp, Sign::Skin, Sign::Ill => new Consequence(
                'unclear',
                Stops::Everything,
                Stops::Everything,
                AlertKind::Stop,
            ),
        };
    }
}
