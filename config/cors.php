<?php

declare(strict_types=1);

/* No page of another site has any business here. */
return ['paths' => []];
