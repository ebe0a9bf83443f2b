package pemblar.benchmark;
