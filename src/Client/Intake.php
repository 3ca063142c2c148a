<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Core\Data\Dates;

/** What is asked once at intake and shown whenever the client is: nothing here decides which exercises fit. */
final readonly class Intake
{
    public const COMMUNICATION = [
        'pictures' => 'Needs pictures',
        'short' => 'Short sentences',
        'read' => 'Is read to',
        'slow' => 'Needs time to answer',
    ];
    public const COMMANDS = [
        '' => 'Not asked',
        '0' => 'None for certain',
        '1' => 'One step',
        '2' => 'Two steps',
        '3' => 'Three steps',
    ];
    public const EPILEPSY = ['' => 'Not asked', 'no' => 'No', 'yes' => 'Yes'];

    /**
     * @param string       $onsetOn       day as YYYY-MM-DD, or empty
     * @param list<string> $doseTimes     times of day as HH:MM
     * @param list<string> $communication keys of COMMUNICATION
     * @param string       $consentOn     day as YYYY-MM-DD, or empty: not given
     */
    public function __construct(
        public string $onsetOn = '',
        public string $medicines = '',
        public array $doseTimes = [],
        public string $splints = '',
        public string $living = '',
        public string $helperTimes = '',
        public array $communication = [],
        public string $commands = '',
        public string $vision = '',
        public string $hearing = '',
        public ?int $seatedMinutes = null,
        public string $epilepsy = '',
        public string $matters = '',
        public string $consentOn = '',
    ) {
    }

    /** @param array<mixed> $kept as toArray() gave it */
    public static function fromArray(array $kept): self
    {
        $text = static fn (string $key): string => \is_string($kept[$key] ?? null) ? $kept[$key] : '';
        $list = static fn (string $key): array => array_values(
            array_filter(\is_array($kept[$key] ?? null) ? $kept[$key] : [], \is_string(...)),
        );

        return new self(
            $text('onsetOn'),
            $text('medicines'),
            $list('doseTimes'),
            $text('splints'),
            living: $text('living'),
            helperTimes: $text('helperTimes'),
            communication: $list('communication'),
            commands: $text('commands'),
            vision: $text('vision'),
            hearing: $text('hearing'),
            seatedMinutes: \is_int($kept['seatedMinutes'] ?? null) ? $kept['seatedMinutes'] : null,
            epilepsy: $text('epilepsy'),
            matters: $text('matters'),
            consentOn: $text('consentOn'),
        );
    }

    /** @return array<string, mixed> only what was said */
    public function toArray(): array
    {
        $said = [];
        foreach (get_object_vars($this) as $key => $value) {
            if (null !== $value && '' !== $value && [] !== $value) {
                $said[(string) $key] = $value;
            }
        }

        return $said;
    }

    /** @return array<string, string> what was said, in plain words by label */
    public function said(): array
    {
        return array_filter([
            'Onset' => self::asWritten($this->onsetOn),
            'Medicines' => trim(
                $this->medicines.(
                    [] === $this->doseTimes ? '' : ' at '.implode(', ', $this->doseTimes)
                ),
            ),
            'Splints' => $this->splints,
            'Lives' => $this->living,
            'Helper comes' => $this->helperTimes,
            'Communication' => implode(
                ', ',
                array_map(
                    static fn (string $key): string => self::COMMUNICATION[$key] ?? $key,
                    $this->communication,
                ),
            ),
            'Follows' => '' === $this->commands ? '' : self::COMMANDS[$this->commands] ?? '',
            'Sight' => $this->vision,
            'Hearing' => $this->hearing,
            'Sits' => null === $this->seatedMinutes ? '' : $this->seatedMinutes.' min',
            'Epilepsy' => 'yes' === $this->epilepsy ? 'yes' : '',
            'What matters' => $this->matters,
            'Consent' => '' === $this->consentOn ? 'not noted' : self::asWritten($this->consentOn),
        ], static fn (string $value): bool => '' !== $value);
    }

    /** A day as people write it. */
    private static function asWritten(string $day): string
    {
        return Dates::day($day)?->format('j M Y') ?? $day;
    }
}
