<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** How the client was placed. */
enum Position: string
{
    case Usual = 'usual';
    case Wheelchair = 'wheelchair';
    case Lying = 'lying';
    case Standing = 'standing';

    public function label(): string
    {
        return match ($this) {
            self::Usual => 'seated at the table, as each measure says',
            self::Wheelchair => 'in the wheelchair',
            self::Lying => 'lying',
            self::Standing => 'standing',
        };
    }
}
