import { keepSummaries } from '$lib/data';

keepSummaries();
