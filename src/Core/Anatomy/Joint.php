<?php

declare(strict_types=1);

namespace HandGarden\Core\Anatomy;

enum Joint: string
{
    case Mp = 'mp';
    case Ip = 'ip';
    case Mcp = 'mcp';
    case Pip = 'pip';
    case Dip = 'dip';

    public function label(): string
    {
        return strtoupper($this->value);
    }
}
